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
}
const project = (name, more = {}) => ({
  displayName: name,
  rootDir: `<rootDir>/${name}`,
  testMatch: ['<rootDir>/src/**/*.test.{ts,tsx}'],
  testEnvironment: 'node',
  transform,
  moduleNameMapper,
  ...more,
})

module.exports = {
  projects: [
    project('core'),
    project('wording'),
    project('server', {
      globalSetup: '<rootDir>/src/test/startPostgres.mjs',
      globalTeardown: '<rootDir>/src/test/stopPostgres.mjs',
    }),
    project('web'),
  ],
}
