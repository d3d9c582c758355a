// npm run floors: draws the floors of core into docs/design.md from what the files import; --check only compares.
import { readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { cruise } from 'dependency-cruiser'
import prettier from 'prettier'
import { ROOT } from './run.mjs'

const PAGE = join(ROOT, 'docs/design.md')
const BEGIN = '<!-- floors: drawn by npm run floors -->'
const END = '<!-- /floors -->'

/** How many imports run from each floor of core to each other: { kitchen: { ledger: 7, … }, … }. */
async function importsBetweenFloors() {
  const config = (await import('../.dependency-cruiser.cjs')).default
  const { output: found } = await cruise(['core/src'], { ...config.options, includeOnly: '^core/src/[^/]+/' })
  const between = {}
  for (const { source, dependencies } of found.modules) {
    const from = floorOf(source)
    between[from] ??= {}
    for (const { resolved } of dependencies) {
      const to = floorOf(resolved)
      if (to !== from) between[from][to] = (between[from][to] ?? 0) + 1
    }
  }
  return between
}

const floorOf = (path) => path.split('/')[2]

/** The floors from the top down: each before all that it imports. RangeError where two import each other. */
function topDown(between) {
  const left = new Set(Object.keys(between))
  const order = []
  while (left.size) {
    const top = [...left].filter((floor) => ![...left].some((other) => other !== floor && between[other][floor]))
    if (!top.length) throw new RangeError(`core: floors import each other: ${[...left].join(', ')}`)
    for (const floor of top.sort()) {
      order.push(floor)
      left.delete(floor)
    }
  }
  return order
}

function drawn(between) {
  const order = topDown(between)
  const lines = order.map((floor, i) => {
    const below = order.slice(i + 1)
    return `| **${floor}** | ${order.map((to) => (below.includes(to) ? (between[floor][to] ?? '·') : '')).join(' | ')} |`
  })
  return [`| from \\ to | ${order.join(' | ')} |`, `| --- |${' ---: |'.repeat(order.length)}`, ...lines].join('\n')
}

process.chdir(ROOT)
const page = readFileSync(PAGE, 'utf8')
const [before, rest] = page.split(BEGIN)
const [, after] = rest?.split(END) ?? []
if (after === undefined) throw new RangeError(`docs/design.md: no ${BEGIN} … ${END}`)
const table = drawn(await importsBetweenFloors())
const options = (await prettier.resolveConfig(PAGE)) ?? {}
const now = await prettier.format(`${before}${BEGIN}\n\n${table}\n\n${END}${after}`, { ...options, parser: 'markdown' })
if (!process.argv.includes('--check')) writeFileSync(PAGE, now)
else if (now !== page) {
  console.error('docs/design.md draws other floors than the code has: run npm run floors.')
  process.exitCode = 1
}
