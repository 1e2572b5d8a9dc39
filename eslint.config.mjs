import { createTypeScriptImportResolver } from 'eslint-import-resolver-typescript'
import importX from 'eslint-plugin-import-x'
import reactHooks from 'eslint-plugin-react-hooks'
import tseslint from 'typescript-eslint'

// The folders of the core in the order of the chain: a folder imports from those before it, never from those after it.
const coreChain = [
  'outcome',
  'units',
  'trace',
  'geometry',
  'document',
  'standards',
  'building',
  'editing',
  'actions',
  'plate',
  'sharing',
  'rundown',
  'combinations',
  'envelopes',
  'derivation',
  'concerns',
  'wording',
  'exchange',
  'generate',
  'queries',
]
// Folders of the web application: the steps stand on all others and not on one another.
const webChain = ['state', 'compute', 'ui', 'drawing', 'sheet', 'app']
const steps = ['basis', 'building', 'actions', 'paths', 'combinations', 'envelopes', 'handover']

const later = (root, chain) =>
  chain.map((folder, i) => ({
    target: `${root}/${folder}`,
    from: chain.slice(i + 1).map((other) => `${root}/${other}`),
  }))
const zones = [
  ...later('./packages/core/src', coreChain).filter(({ from }) => from.length > 0),
  { target: './packages/core', from: ['./packages/contract', './apps'] },
  { target: './packages/contract', from: ['./apps'] },
  { target: './apps/web', from: ['./apps/server', './apps/cli'] },
  { target: './apps/server', from: ['./apps/web', './apps/cli'] },
  { target: './apps/cli', from: ['./apps/web', './apps/server'] },
  ...webChain
    .filter((folder) => folder !== 'app')
    .map((folder) => ({ target: `./apps/web/src/${folder}`, from: ['./apps/web/src/app', './apps/web/src/steps'] })),
  ...steps.map((step) => ({
    target: `./apps/web/src/steps/${step}`,
    from: steps.filter((other) => other !== step).map((other) => `./apps/web/src/steps/${other}`),
  })),
]

export default tseslint.config(
  { ignores: ['**/dist/**', '**/node_modules/**', '.cache/**', '**/*.mjs'] },
  ...tseslint.configs.recommendedTypeChecked,
  {
    plugins: { 'import-x': importX },
    languageOptions: {
      parserOptions: {
        project: [
          'packages/core/tsconfig.test.json',
          'packages/contract/tsconfig.json',
          'apps/*/tsconfig.json',
          'e2e/tsconfig.json',
        ],
        tsconfigRootDir: import.meta.dirname,
        noWarnOnMultipleProjects: true,
      },
    },
    settings: {
      'import-x/resolver-next': [
        createTypeScriptImportResolver({ project: 'apps/*/tsconfig.json', noWarnOnMultipleProjects: true }),
      ],
    },
    rules: {
      'import-x/no-cycle': 'error',
      'import-x/no-restricted-paths': ['error', { zones }],
      'import-x/no-default-export': 'error',
      '@typescript-eslint/consistent-type-imports': ['error', { disallowTypeAnnotations: false }],
      '@typescript-eslint/switch-exhaustiveness-check': ['error', { considerDefaultExhaustiveForUnions: true }],
      '@typescript-eslint/no-non-null-assertion': 'error',
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true, allowBoolean: true }],
      'no-restricted-syntax': [
        'error',
        {
          selector: 'ExportAllDeclaration',
          message: 'Export every name on its own, so that a reader sees what leaves.',
        },
      ],
      'no-console': 'error',
      // a field taken out of a record by naming it
      '@typescript-eslint/no-unused-vars': ['error', { ignoreRestSiblings: true, varsIgnorePattern: '^_+$' }],
      eqeqeq: 'error',
      complexity: ['error', 12],
      'max-depth': ['error', 4],
      'max-lines': ['error', { max: 400, skipBlankLines: true }],
      'max-lines-per-function': ['error', { max: 60, skipBlankLines: true, skipComments: true }],
    },
  },
  {
    // Nest needs injected classes and request classes at run time
    files: ['apps/server/**', 'packages/contract/**'],
    rules: { '@typescript-eslint/consistent-type-imports': 'off' },
  },
  {
    files: ['apps/web/**'],
    plugins: { 'react-hooks': reactHooks },
    rules: {
      ...reactHooks.configs.recommended.rules,
      // a screen places what is there or not there: each condition is one piece of it
      complexity: ['error', 16],
      'max-lines-per-function': ['error', { max: 90, skipBlankLines: true }],
    },
  },
  {
    files: ['**/*.test.ts', '**/*.test.tsx', 'e2e/**', '**/testing/**', 'packages/core/test/**'],
    rules: {
      'max-lines-per-function': 'off',
      'max-lines': 'off',
      'max-depth': 'off',
      complexity: ['error', 16],
      // the matchers of Jest are of type any
      '@typescript-eslint/no-unsafe-assignment': 'off',
      '@typescript-eslint/no-unsafe-return': 'off',
    },
  },
  {
    files: ['**/vite.config.ts', 'e2e/playwright.config.ts'],
    rules: { 'import-x/no-default-export': 'off' },
  },
)
