import js from '@eslint/js'
import hooks from 'eslint-plugin-react-hooks'
import tseslint from 'typescript-eslint'

// The direction of imports (web -> wording -> core <- server) is a rule of the house, held here.
// A test may join what it tests with what uses it.
const only = (files, forbidden, message) => ({
  files,
  ignores: ['core/src/**/*.test.ts', 'core/src/test/**'],
  rules: { 'no-restricted-imports': ['error', { patterns: forbidden.map((regex) => ({ regex, message })) }] },
})

export default tseslint.config(
  { ignores: ['**/dist/**', '**/node_modules/**', '.data/**', '.cache/**', 'test-results/**'] },
  js.configs.recommended,
  {
    files: ['**/*.mjs', '**/*.cjs'],
    languageOptions: {
      globals: {
        process: 'readonly',
        console: 'readonly',
        URL: 'readonly',
        setTimeout: 'readonly',
        clearTimeout: 'readonly',
        setInterval: 'readonly',
        clearInterval: 'readonly',
        fetch: 'readonly',
        Buffer: 'readonly',
        performance: 'readonly',
        module: 'writable',
        require: 'readonly',
        __dirname: 'readonly',
        AbortController: 'readonly',
        AbortSignal: 'readonly',
      },
    },
  },
  {
    files: ['**/*.ts', '**/*.tsx'],
    extends: [...tseslint.configs.recommendedTypeChecked],
    languageOptions: { parserOptions: { project: './tsconfig.eslint.json', tsconfigRootDir: import.meta.dirname } },
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_' }],
      '@typescript-eslint/switch-exhaustiveness-check': ['error', { considerDefaultExhaustiveForUnions: true }],
      '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: { attributes: false } }],
      eqeqeq: ['error', 'always', { null: 'ignore' }],
    },
  },
  { files: ['web/src/**/*.{ts,tsx}'], plugins: { 'react-hooks': hooks }, rules: hooks.configs.recommended.rules },
  only(
    ['core/src/**/*.ts'],
    ['^@logged-thermal/', '^node:', '^react', '^@nestjs'],
    'core is pure and imports nothing of the other parts.',
  ),
  only(['wording/src/**/*.ts'], ['^@logged-thermal/(server|web)', '^node:', '^react'], 'wording knows core only.'),
  only(['server/src/**/*.ts'], ['^@logged-thermal/web'], 'server does not know web.'),
  only(['web/src/**/*.{ts,tsx}'], ['^@logged-thermal/server', '^node:'], 'web does not know server.'),
  only(
    ['core/src/quantity/**', 'core/src/calendar/**'],
    ['\\.\\./(trace|lethality|verdict|limits|shelf|ledger|state)'],
    'quantity and calendar come first.',
  ),
  only(['core/src/trace/**'], ['\\.\\./(lethality|verdict|limits|shelf|ledger|state)'], 'trace knows quantity only.'),
  only(
    ['core/src/lethality/**'],
    ['\\.\\./(verdict|limits|shelf|ledger|state)'],
    'lethality knows trace and quantity.',
  ),
  only(
    ['core/src/limits/**', 'core/src/shelf/**'],
    ['\\.\\./(verdict|ledger|state)'],
    'limits and shelf do not know verdict, ledger or state.',
  ),
)
