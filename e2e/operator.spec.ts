import { spawn, spawnSync } from 'node:child_process'
import { existsSync, mkdtempSync, statSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, test } from '@playwright/test'
import { freePort } from '../scripts/freePort.mjs'
import { RunningKitchen } from './kitchen'

/** What whoever looks after the machine does, by the commands of docs/operations.md. */

test.describe.configure({ timeout: 240_000 })

const folderOf = (name: string) => mkdtempSync(join(tmpdir(), `lt-${name}-`))

function run(script: string, args: string[], env: Record<string, string>) {
  const { stdout, stderr, status } = spawnSync(process.execPath, [`scripts/${script}.mjs`, ...args], {
    env: { ...process.env, ...env },
    encoding: 'utf8',
    // Nobody sits there who could be asked.
    stdio: ['ignore', 'pipe', 'pipe'],
    timeout: 120_000,
  })
  return { said: `${stdout}${stderr}`, status }
}

/** Starts the program, does something while it serves, and stops it as Ctrl-C does. Resolves to what it said. */
function startedAndStopped(
  args: string[],
  env: Record<string, string>,
  serving: (said: string) => Promise<unknown>,
): Promise<string> {
  const child = spawn(process.execPath, ['scripts/start.mjs', ...args], { env: { ...process.env, ...env } })
  let [said, serves] = ['', false]
  for (const stream of [child.stdout, child.stderr])
    stream.on('data', (piece: Buffer) => {
      said += piece.toString()
      if (serves || !said.includes('Ctrl-C stops it')) return
      serves = true
      void serving(said).finally(() => child.kill('SIGINT'))
    })
  return new Promise((done) => child.once('exit', () => done(said)))
}

test('a folder of data belongs to one program; its files are for nobody else to read; another key can sign', async () => {
  const kitchen = await RunningKitchen.open()
  try {
    const again = run('start', ['--port', String(await freePort())], { LT_DATA: kitchen.file('.') })
    expect([again.status, again.said]).toEqual([1, expect.stringContaining('is in use')])
    for (const name of ['cluster.json', 'signing-keys.json', 'signed-heads.json']) {
      await expect.poll(() => existsSync(kitchen.file(name))).toBe(true)
      expect(statSync(kitchen.file(name)).mode & 0o077).toBe(0)
    }
    expect(kitchen.ledger('verify')).toContain('none altered, none missing')
    expect(kitchen.ledger('rotate-key')).toContain('signs from the next start on')
    await kitchen.stop()
    await kitchen.startAgain()
    expect(kitchen.ledger('verify')).toContain('none altered, none missing')
    expect(kitchen.ledger('nonsense')).toContain('Say which')
  } finally {
    await kitchen.close()
  }
})

test('a kitchen of its own is not thrown away unasked, nor begun over, and a backup is never written over', async () => {
  const folder = folderOf('own')
  const restored = join(folderOf('backup'), 'own.backup')
  const env = { LT_DATA: folder }
  const prepared = run('ledger', ['restore', join(folder, 'none.backup')], env)
  expect([prepared.status, prepared.said]).toEqual([1, expect.stringContaining('is not there')])
  const source = folderOf('source')
  const port = await freePort()
  const made = await startedAndStopped(['--empty', '--port', String(port)], { LT_DATA: source }, async (said) => {
    const [, code] = /set-up code: (\S+)/.exec(said)!
    const kitchen = { name: 'Own kitchen', zone: 'UTC', unit: 'C', ruleSet: 'uk-2013', lead: 'Ana Lind', pin: '735216' }
    const device = '01a20ba0-a682-723e-bf1d-298b1d1336f8'
    const body = JSON.stringify({ ...kitchen, code, device })
    const headers = { 'Content-Type': 'application/json' }
    const answer = await fetch(`http://127.0.0.1:${port}/api/set-up`, { method: 'POST', headers, body })
    expect(answer.status).toBe(200)
  })
  expect(made).toContain('No kitchen is set up yet.')
  // Begun again, it is the same kitchen, and asks for no code.
  const given = run('ledger', ['new-pin', 'ana lind'], { LT_DATA: source })
  expect([given.status, given.said]).toEqual([0, expect.stringMatching(/Own kitchen: the PIN of ana lind is \d{6} /)])
  expect(run('ledger', ['backup', restored], { LT_DATA: source }).said).toContain('The copy was gone through')
  expect(run('ledger', ['backup', restored], { LT_DATA: source }).said).toContain('never written over another')
  const reset = run('start', ['--reset-demo', '--port', String(port)], { LT_DATA: source })
  expect([reset.status, reset.said]).toEqual([1, expect.stringContaining('a kitchen of its own')])
  expect(run('ledger', ['restore', restored], env).said).toContain('Own kitchen with')
  expect(run('ledger', ['restore', restored], env).said).toContain('This database has a kitchen')
  const both = run('ledger', ['verify'], env)
  expect([both.status, both.said]).toEqual([0, expect.stringContaining('none altered')])
  const tried = run('ledger', ['try-backup', restored], {})
  expect([tried.status, tried.said]).toEqual([0, expect.stringContaining('can be restored: it was')])
  // As an archive it is checked by anybody, and moves to where another kitchen may be.
  const archive = join(folderOf('archive'), 'own.zip')
  expect(run('ledger', ['archive', archive, 'Own kitchen'], { LT_DATA: source }).said).toContain('holds Own kitchen')
  const checked = run('verify', [archive], {})
  expect([checked.status, checked.said]).toEqual([0, expect.stringContaining('It checks out.')])
  const elsewhere = { LT_DATA: folderOf('elsewhere') }
  expect(run('ledger', ['take-in', archive], elsewhere).said).toContain('Own kitchen is here')
  expect(run('ledger', ['take-in', archive], elsewhere).said).toContain('here already')
})

test('what cannot work ends with a sentence', () => {
  const junk = join(folderOf('junk'), 'junk.pem')
  writeFileSync(junk, 'junk')
  const none = join(folderOf('none'), 'nothing-here')
  const away = { DATABASE_URL: 'postgresql://a:b@127.0.0.1:1/none' }
  for (const [script, args, env, sentence] of [
    ['start', ['--cert', junk, '--key', junk], {}, 'is no certificate in PEM format'],
    ['start', ['--cert', junk], {}, 'belong together'],
    ['start', ['--empty', '--reset-demo'], {}, 'want different things'],
    ['ledger', ['verify'], { LT_DATA: none }, 'There is no logbook in'],
    ['ledger', ['verify'], away, 'ECONNREFUSED'],
  ] as const) {
    const { said, status } = run(script, [...args], env)
    expect([args, status, said]).toEqual([args, 1, expect.stringContaining(sentence)])
  }
  // Whoever only looks makes nothing.
  expect(existsSync(none)).toBe(false)
})
