import { configFrom, USUAL_POOL } from './config'

const DATABASE_URL = 'postgresql://lt_app@localhost/lt'
const faultsOf = (env: NodeJS.ProcessEnv): string[] => {
  try {
    configFrom(env)
    return []
  } catch (error) {
    return (error as Error).message.split('\n')
  }
}

it('takes what is said, and the usual for the rest', () => {
  expect(configFrom({ DATABASE_URL })).toMatchObject({ port: 4310, host: '127.0.0.1', tls: null, pool: USUAL_POOL })
  const said = { DATABASE_URL, LT_PORT: '8080', LT_POOL: '25', LT_STATEMENT_MS: '5000', LT_CERT: 'a', LT_KEY: 'b' }
  expect(configFrom(said)).toMatchObject({
    port: 8080,
    pool: { most: 25, statementMs: 5000 },
    tls: { cert: 'a', key: 'b' },
  })
})

it('says each fault in one sentence that names it', () => {
  expect(faultsOf({})).toEqual(['DATABASE_URL is not set: the address of the PostgreSQL database, postgresql://…'])
  expect(faultsOf({ DATABASE_URL, LT_PORT: 'x', LT_POOL: '0' })).toEqual([
    'LT_PORT is "x": it has to be a whole number from 0 to 65535.',
    'LT_POOL is "0": it has to be a whole number from 1 to 500.',
  ])
  expect(faultsOf({ DATABASE_URL, LT_PORT: '80.5' })).toHaveLength(1)
  expect(faultsOf({ DATABASE_URL, LT_CERT: 'a' })).toEqual(['LT_CERT is set and LT_KEY is not: TLS needs both.'])
  expect(faultsOf({ DATABASE_URL, LT_LOG_LEVEL: 'loud' })[0]).toContain('one of: fatal, error')
  expect(faultsOf({ DATABASE_URL, LT_METRICS_TOKEN: 'short' })).toHaveLength(1)
})
