import js from '@eslint/js'
import globals from 'globals'
import hooks from 'eslint-plugin-react-hooks'
import tseslint from 'typescript-eslint'

/** Words that mean nothing to a reader who knows the trade; the glossary of the architecture page has the ones to use. */
const PRIVATE_WORDS =
  '^(tell|told|hear|heard|keep|kept|say|said|saying|give|given|noted|settled?|conduct|owners?|remember|comesTo|asOne|restsNoMore|companion|standing|stands|made|puts?|own|came|asked|held|ways|was|seen|drawn)$|(Told|Said|Kept|Standing|Heard|Comes)$'
const noPrivateWords = (selector) => ({
  selector,
  format: null,
  custom: { regex: PRIVATE_WORDS, match: false },
})
/** Nor for a variable: what was told, said or kept is a message, a report, a state, a copy. */
const noVagueWords = (selector) => ({
  selector,
  format: null,
  custom: { regex: '^(tell|told|said|kept|heard|owners)$', match: false },
})

export default tseslint.config(
  { ignores: ['**/dist/', '**/node_modules/', 'server/drizzle/', 'test-results/', 'playwright-report/'] },
  js.configs.recommended,
  {
    files: ['**/*.{ts,tsx}'],
    extends: [...tseslint.configs.recommendedTypeChecked],
    languageOptions: {
      parserOptions: {
        project: './tsconfig.lint.json',
        tsconfigRootDir: import.meta.dirname,
      },
    },
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/naming-convention': [
        'error',
        noPrivateWords('typeLike'),
        noPrivateWords('function'),
        { ...noPrivateWords('variable'), modifiers: ['exported'] },
        noVagueWords('variable'),
        noVagueWords('parameter'),
      ],
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: { attributes: false } }],
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      '@typescript-eslint/require-await': 'off',
      '@typescript-eslint/unbound-method': 'off',
      '@typescript-eslint/no-unused-vars': ['error', { varsIgnorePattern: '^_', argsIgnorePattern: '^_' }],
    },
  },
  {
    files: ['core/src/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'process',
        'fetch',
        'setTimeout',
        'setInterval',
        'performance',
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now', message: 'core has no clock: take the time as an argument' },
        { object: 'Math', property: 'random', message: 'core has no randomness but a given seed' },
      ],
      'no-restricted-syntax': [
        'error',
        { selector: "NewExpression[callee.name='Date'][arguments.length=0]", message: 'core has no clock' },
        { selector: 'ExportDefaultDeclaration', message: 'no default exports' },
      ],
    },
  },
  {
    files: ['web/**/*.{ts,tsx}', 'server/**/*.ts', 'e2e/**/*.ts', 'bench/**/*.ts', 'core/**/*.test.ts'],
    ignores: ['web/src/clock/clock.ts', 'server/src/clock.ts'],
    rules: {
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now', message: 'ask the clock: the machine’s date stays out' },
      ],
      'no-restricted-syntax': [
        'error',
        {
          selector: "NewExpression[callee.name='Date'][arguments.length=0]",
          message: 'ask the clock: the machine’s date stays out',
        },
        {
          selector: "CallExpression[callee.name='Date']",
          message: 'ask the clock: the machine’s date stays out',
        },
      ],
    },
  },
  {
    files: ['web/src/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': hooks },
    rules: hooks.configs.recommended.rules,
  },
  { files: ['**/*.{js,mjs,cjs}'], languageOptions: { globals: { ...globals.node, document: 'readonly' } } },
)
