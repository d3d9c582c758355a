// npm run golden -- NAME: writes a ledger of every kind of entry with the present code, which every later one has to open.
import { run, tell } from './run.mjs'

const [name] = process.argv.slice(2)
if (!name || !/^[a-z0-9-]+$/.test(name)) tell(new Error('Say how it is called: npm run golden -- NAME'))
else {
  const args = [
    'node_modules/jest/bin/jest.js',
    '--selectProjects',
    'core',
    '--testPathPatterns',
    'golden',
    '-t',
    'is recorded',
  ]
  process.exitCode = await run(process.execPath, args, { env: { ...process.env, LT_GOLDEN: name } })
}
