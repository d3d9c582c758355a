// npm run mutate: changes the judgement floor line by line, and tells which changes no test of it notices. The whole floor takes a
// night and more; `LT_EVERY=40 npm run mutate` changes every fortieth line, of all its files in a row, in an hour.
import { readdirSync, readFileSync } from 'node:fs'

const FLOOR = 'core/src/judgement'
const every = Number(process.env.LT_EVERY ?? 1)

/** Every so many lines of the floor, as ranges of one line. */
function sample() {
  const files = readdirSync(FLOOR, { recursive: true, encoding: 'utf8' })
    .map((name) => `${FLOOR}/${name}`)
    .filter((name) => name.endsWith('.ts') && !name.endsWith('.test.ts') && !name.endsWith('index.ts'))
    .sort()
  const lines = files.flatMap((file) =>
    readFileSync(file, 'utf8')
      .split('\n')
      .flatMap((text, i) =>
        /^\s*(\/\/|\/?\*|import |export \* |\}?$)/.test(text) ? [] : [`${file}:${i + 1}-${i + 1}`],
      ),
  )
  return lines.filter((_, i) => i % every === Math.floor(every / 2))
}

export default {
  testRunner: 'jest',
  jest: { configFile: 'jest.mutate.cjs', enableFindRelatedTests: true },
  coverageAnalysis: 'perTest',
  mutate: every > 1 ? sample() : [`${FLOOR}/**/*.ts`, '!core/src/**/*.test.ts', '!core/src/**/index.ts'],
  // Words of findings are said by wording, and tested there.
  mutator: { excludedMutations: ['StringLiteral'] },
  ignoreStatic: true,
  concurrency: 2,
  timeoutMS: 60_000,
  tempDirName: '.cache/stryker',
  reporters: ['clear-text', 'progress'],
  clearTextReporter: { allowColor: false, reportTests: false },
}
