import { relative } from 'node:path/posix'
import js from '@eslint/js'
import prettier from 'eslint-config-prettier'
import { createTypeScriptImportResolver } from 'eslint-import-resolver-typescript'
import { importX } from 'eslint-plugin-import-x'
import vue from 'eslint-plugin-vue'
import globals from 'globals'
import ts from 'typescript-eslint'
import vueParser from 'vue-eslint-parser'

/** Rooms of core, each of which may import only from those before it and from itself. */
const ROOMS = [
  'reading',
  'quantity',
  'recipe',
  'food',
  'kitchen',
  'safety',
  'problem',
  'plan',
  'solver',
  'session',
  'calendar',
  'guide',
  'rehearsal',
  'board',
  'advice',
  'logbook',
  'shopping',
  'stock',
  'labels',
  'packing',
  'eating',
  'setout',
  'household',
]

/** Rooms of the engine, in the same way. */
const ENGINE_ROOMS = [
  'structures',
  'model',
  'sgs',
  'construct',
  'improve',
  'bounds',
  'lcg/engine',
  'lcg/model',
  'lcg/cuts',
  'lcg/search',
  'portfolio',
]

const nothingFrom = (...patterns) => ({ 'no-restricted-imports': ['error', { patterns }] })

/** What no room of core may import, and the rooms after its own. */
const outside = (room) => {
  const i = ROOMS.indexOf(room)
  return {
    regex: [
      `^(?:\\.\\./)+(?:${[...ROOMS.slice(i + 1), 'app', 'server', 'demo'].join('|')})(?:/|$)`,
      '^(?:vue|pinia|dexie|nuxt)(?:/|$)',
      '^node:',
      '^~/',
    ].join('|'),
    message: `core/${room} may import only from the rooms before it: ${ROOMS.slice(0, i).join(', ')}`,
  }
}
/** Another room is entered by its door. */
const pastTheDoor = {
  regex: `^(?:(?:\\.\\./)+|~~/core/|(?:\\.\\./)+core/)(?:${ROOMS.join('|')})/`,
  message: 'what others may use of a room stands in its index.ts',
}
const SOURCE = { ignores: ['**/*.test.ts', '**/*.fixture.ts'] }

const roomRules = ROOMS.map((room) => ({
  files: [`core/${room}/**/*.ts`],
  ...SOURCE,
  rules: nothingFrom(outside(room), pastTheDoor),
}))

const engineRules = ENGINE_ROOMS.map((room, i) => ({
  files: [`core/solver/${room}/**/*.ts`],
  ...SOURCE,
  rules: nothingFrom(
    outside('solver'),
    pastTheDoor,
    ...ENGINE_ROOMS.slice(i + 1).map((later) => ({
      regex: `^${relative(room, later).replaceAll('.', '\\.')}/`,
      message: `solver/${room} may import only from the rooms before it: ${ENGINE_ROOMS.slice(0, i).join(', ')}`,
    })),
  ),
}))

export default ts.config(
  { ignores: ['.nuxt/**', '.output/**', 'node_modules/**', 'docs/**', 'test-results/**'] },
  js.configs.recommended,
  ...ts.configs.strict,
  ...vue.configs['flat/recommended'],
  {
    files: ['**/*.vue'],
    languageOptions: {
      parser: vueParser,
      parserOptions: { parser: ts.parser },
      globals: globals.browser,
    },
  },
  {
    files: ['**/*.mjs', 'tests/**', 'bench/**'],
    languageOptions: { globals: { ...globals.node, ...globals.browser } },
  },
  {
    files: ['**/*.ts', '**/*.vue'],
    rules: {
      'no-undef': 'off',
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_' },
      ],
      'vue/multi-word-component-names': 'off',
    },
  },
  ...roomRules,
  ...engineRules,
  {
    files: ['core/**/*.ts'],
    plugins: { 'import-x': importX },
    settings: {
      ...importX.flatConfigs.typescript.settings,
      'import-x/resolver-next': [createTypeScriptImportResolver()],
    },
    rules: { 'import-x/no-cycle': 'error' },
  },
  {
    files: ['core/plan/check/**/*.ts'],
    ...SOURCE,
    rules: nothingFrom(outside('plan'), pastTheDoor, {
      group: ['**/solver', '**/solver/**', '**/session', '**/session/**'],
      message: 'the checker proves what the solver does, and shares nothing with it',
    }),
  },
  {
    files: ['core/**/*.ts'],
    ...SOURCE,
    rules: {
      'no-console': 'error',
      'no-restricted-properties': [
        'error',
        ...[
          ['Math', 'random'],
          ['Date', 'now'],
          ['performance', 'now'],
        ].map(([object, property]) => ({
          object,
          property,
          message: 'core has no clock and no chance of its own: both are passed in',
        })),
      ],
      'no-restricted-syntax': [
        'error',
        {
          selector: "NewExpression[callee.name='Date'][arguments.length=0]",
          message: 'core has no clock of its own: an instant is passed in',
        },
      ],
    },
  },
  {
    files: ['app/**/*.{ts,vue}', 'demo/**/*.ts', 'core/testing/**/*.ts', 'bench/**/*.ts'],
    ...SOURCE,
    rules: nothingFrom(pastTheDoor),
  },
  {
    files: ['server/**/*.ts', 'bin/**/*.mjs'],
    rules: nothingFrom(pastTheDoor, {
      group: ['**/app/**', '~/**'],
      message: 'servers and the command line stand on core alone',
    }),
  },
  prettier,
)
