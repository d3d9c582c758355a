// The tests of core that judge, without the long histories: what a mutation run asks thousands of times.
const { projects } = require('./jest.config.cjs')

const core = projects.find(({ displayName }) => displayName === 'core')

module.exports = {
  ...core,
  rootDir: 'core',
  moduleNameMapper: Object.fromEntries(
    Object.entries(core.moduleNameMapper).map(([name, path]) => [name, path.replace('<rootDir>', '<rootDir>')]),
  ),
  testPathIgnorePatterns: ['model.test', 'golden.test', 'projectCooling.test', 'simulateCooldown.test'],
}
