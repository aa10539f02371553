import js from '@eslint/js'
import prettier from 'eslint-config-prettier'
import vue from 'eslint-plugin-vue'
import globals from 'globals'
import ts from 'typescript-eslint'
import vueParser from 'vue-eslint-parser'

/** Rooms of core, each of which may import only from those before it and from itself. */
const ROOMS = [
  'reading',
  'quantity',
  'recipe',
  'kitchen',
  'safety',
  'problem',
  'plan',
  'solver',
  'session',
  'guide',
  'board',
  'logbook',
  'household',
]

const nothingFrom = (group, message) => ({
  'no-restricted-imports': ['error', { patterns: [{ group, message }] }],
})

const roomRules = ROOMS.map((room, i) => ({
  files: [`core/${room}/**/*.ts`],
  ignores: ['**/*.test.ts'],
  rules: nothingFrom(
    [
      ...ROOMS.slice(i + 1).flatMap((later) => [`../${later}`, `../${later}/*`, `../../${later}`]),
      'vue',
      'pinia',
      'dexie',
      'nuxt',
      'node:*',
      '~/**',
      '**/app/**',
      '**/server/**',
      '**/demo',
      '**/demo/**',
    ],
    `core/${room} may import only from the rooms before it: ${ROOMS.slice(0, i).join(', ')}`,
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
  {
    files: ['core/plan/check/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: nothingFrom(
      ['**/solver', '**/solver/**', '**/session', '**/session/**'],
      'the checker proves what the solver does, and shares nothing with it',
    ),
  },
  {
    files: ['server/**/*.ts', 'bin/**/*.mjs'],
    rules: nothingFrom(['**/app/**', '~/**'], 'servers and the command line stand on core alone'),
  },
  prettier,
)
