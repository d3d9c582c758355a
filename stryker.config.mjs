// npm run mutate: changes the judgement floor line by line, and tells which changes no test of it notices.
// `npm run mutate -- --mutate core/src/judgement/watch/coolingWatch.ts` for one file; the whole floor takes a night.
export default {
  testRunner: 'jest',
  jest: { configFile: 'jest.mutate.cjs', enableFindRelatedTests: true },
  coverageAnalysis: 'perTest',
  mutate: ['core/src/judgement/**/*.ts', '!core/src/**/*.test.ts', '!core/src/**/index.ts'],
  // Words of findings are said by wording, and tested there.
  mutator: { excludedMutations: ['StringLiteral'] },
  ignoreStatic: true,
  concurrency: 2,
  timeoutMS: 60_000,
  tempDirName: '.cache/stryker',
  reporters: ['clear-text', 'progress'],
  clearTextReporter: { allowColor: false, reportTests: false },
}
