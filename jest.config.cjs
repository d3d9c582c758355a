const { availableParallelism } = require('node:os')

const transform = {
  '^.+\\.(t|j)sx?$': [
    '@swc/jest',
    {
      jsc: {
        parser: { syntax: 'typescript', tsx: true, decorators: true },
        transform: {
          legacyDecorator: true,
          decoratorMetadata: true,
          useDefineForClassFields: false,
          react: { runtime: 'automatic' },
        },
        keepClassNames: true,
        target: 'es2023',
      },
      module: { type: 'commonjs' },
    },
  ],
}
const moduleNameMapper = {
  '^@logged-thermal/core$': '<rootDir>/../core/src/index.ts',
  '^@logged-thermal/wording$': '<rootDir>/../wording/src/index.ts',
  '^@logged-thermal/repertoire$': '<rootDir>/../repertoire/src/index.ts',
  '^@logged-thermal/checker$': '<rootDir>/../checker/src/index.ts',
  // Class names of a stylesheet are their own keys.
  '\\.module\\.css$': 'identity-obj-proxy',
  '^@logged-thermal/server$': '<rootDir>/../server/src/index.ts',
}
const withPostgres = {
  globalSetup: '<rootDir>/../server/src/test/startPostgres.mjs',
  globalTeardown: '<rootDir>/../server/src/test/stopPostgres.mjs',
}
const project = (name, more = {}) => ({
  displayName: name,
  rootDir: `<rootDir>/${name}`,
  testMatch: ['<rootDir>/src/**/*.test.{ts,tsx}'],
  testEnvironment: 'node',
  setupFiles: ['<rootDir>/../core/src/test/runs.ts'],
  transform,
  moduleNameMapper,
  ...more,
})

module.exports = {
  // Tests take milliseconds to some seconds; the room is for a machine that is busy with something else.
  testTimeout: 180_000,
  // Jest's own choice leaves one CPU idle, on two that is half of them; more than four would crowd the database.
  maxWorkers: Math.min(4, availableParallelism()),
  projects: [
    project('core'),
    project('wording'),
    project('repertoire'),
    project('checker'),
    project('server', withPostgres),
    project('demo', withPostgres),
    project('web', { setupFilesAfterEnv: ['<rootDir>/src/test/ledger.ts'] }),
  ],
}
