import { createTypeScriptImportResolver } from 'eslint-import-resolver-typescript'
import importX from 'eslint-plugin-import-x'
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
  'wording',
  'concerns',
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

// What every linter knows is left to the native one (.oxlintrc.json); here stand our own rules: who may import from whom, and how.
const noSpread = {
  selector: 'CallExpression[callee.property.name=/^(push|unshift|min|max)$/] > SpreadElement',
  message: 'A list as arguments overflows the stack when it is long: use pushAll, smallest or largest.',
}
/** What a screen works out has no trace. */
const noFormula = {
  selector:
    'BinaryExpression[operator=/^[*/]$/] > MemberExpression[property.name=/^(unitWeight|area|thickness|force|load|intensity|moment)$/]',
  message: 'A formula of loads belongs in the core, with its trace: ask for it by its address.',
}
/** What reacts to a click is reached by a key as well. */
const noClickedRow = {
  selector: 'JSXOpeningElement[name.name=/^(tr|td|th|li|div|span|p)$/] > JSXAttribute[name.name="onClick"]',
  message: 'A key does not reach it: use a Button, or a LeadingRow in a table.',
}
/** Keys are in one table, from which the page of shortcuts is written. */
const noOwnKey = {
  selector:
    'BinaryExpression > Literal[value=/^(Enter|Escape|Backspace|Delete|Tab|Home|End|Arrow\\w+|Page\\w+|F\\d+)$/]',
  message: 'A key that does something stands in state/shortcuts.ts: ask pressed(event, name).',
}
const allNames = {
  selector: 'ExportAllDeclaration',
  message: 'Export every name on its own, so that a reader sees what leaves.',
}

export default tseslint.config(
  { ignores: ['**/dist/**', '**/node_modules/**', '.cache/**', '**/*.mjs', '**/*.cjs'] },
  {
    files: ['**/*.ts', '**/*.tsx'],
    plugins: { 'import-x': importX },
    languageOptions: { parser: tseslint.parser },
    linterOptions: { reportUnusedDisableDirectives: 'off' },
    settings: {
      'import-x/resolver-next': [
        createTypeScriptImportResolver({ project: 'apps/*/tsconfig.json', noWarnOnMultipleProjects: true }),
      ],
    },
    rules: {
      'import-x/no-cycle': 'error',
      'import-x/no-restricted-paths': ['error', { zones }],
      'no-restricted-syntax': ['error', allNames],
    },
  },
  {
    files: ['packages/*/src/**/*.ts', 'apps/*/src/**/*.ts', 'apps/*/src/**/*.tsx'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-syntax': ['error', allNames, noSpread],
    },
  },
  {
    files: ['apps/web/src/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: { 'no-restricted-syntax': ['error', allNames, noSpread, noOwnKey] },
  },
  {
    files: ['apps/web/src/**/*.tsx'],
    rules: {
      'no-restricted-syntax': ['error', allNames, noSpread, noFormula, noClickedRow, noOwnKey],
    },
  },
  {
    // where the row with its button is made
    files: ['apps/web/src/steps/paths/ColumnTable.tsx'],
    rules: { 'no-restricted-syntax': ['error', allNames, noSpread, noFormula] },
  },
)
