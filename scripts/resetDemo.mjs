// --reset-demo throws a database away: only the demo's, or one whose kitchen is named by who wants that. A backup first.
import { createInterface } from 'node:readline/promises'
import { join } from 'node:path'
import { output, run, ROOT, Told } from './run.mjs'

const DEMO = ['Fennimore Row pastry', 'Tollgate Lane pastry']

/** Resolves once it may be thrown away. Throws Told otherwise. */
export async function requireDemoOrName(env) {
  const prepared = await run(process.execPath, ['server/dist/commands/prepare.js'], { env })
  if (prepared !== 0) throw new Told('The database could not be looked at, so it is not thrown away: see above.')
  const kitchens = JSON.parse(output(process.execPath, ['server/dist/commands/ledger.js', 'kitchens'], { env }))
  if (kitchens.length === 0) return
  const others = kitchens.filter(({ name }) => !DEMO.includes(name))
  for (const { name } of others) await requireTyped(name)
  const stamp = new Date().toISOString().replace(/[-:]/g, '').slice(0, 15)
  const file = join(env.LT_DATA_FOLDER ?? ROOT, `before-reset-${stamp}.backup`)
  if ((await run(process.execPath, ['server/dist/commands/ledger.js', 'backup', file], { env })) !== 0)
    throw new Told('No backup could be written, so nothing is thrown away: see above.')
}

async function requireTyped(name) {
  if (!process.stdin.isTTY)
    throw new Told(`This database has a kitchen of its own, ${name}. It is not thrown away without somebody to ask.`)
  const asked = createInterface({ input: process.stdin, output: process.stdout })
  const said = await asked.question(`This throws away everything of ${name}. Type its name to do that: `)
  asked.close()
  if (said.trim() !== name) throw new Told('That is not its name. Nothing was thrown away.')
}
