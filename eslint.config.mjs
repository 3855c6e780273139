import eslint from '@eslint/js'
import prettier from 'eslint-config-prettier'
import vue from 'eslint-plugin-vue'
import globals from 'globals'
import ts from 'typescript-eslint'

/** Keeps a floor of the house from reaching for what stands above or beside it. */
const floor = (files, forbidden, message) => ({
  files,
  ignores: ['**/*.test.ts', 'src/core/testing/**'],
  rules: { 'no-restricted-imports': ['error', { patterns: [{ regex: forbidden, message }] }] },
})

/** Names that core may not touch: it runs anywhere, and its time and chance come from outside. */
const OUTSIDE = [
  'window',
  'document',
  'navigator',
  'fetch',
  'localStorage',
  'crypto',
  'performance',
  'process',
  'setTimeout',
  'console',
]

export default ts.config(
  { ignores: ['dist/**', 'public/**', 'node_modules/**', 'docs/**', 'test-results/**'] },
  eslint.configs.recommended,
  ts.configs.recommended,
  vue.configs['flat/recommended'],
  {
    files: ['**/*.vue'],
    languageOptions: { parserOptions: { parser: ts.parser } },
    rules: { 'vue/multi-word-component-names': 'off', 'vue/require-default-prop': 'off' },
  },
  {
    rules: {
      'no-undef': 'off',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/no-non-null-assertion': 'off',
      eqeqeq: 'error',
      'no-console': 'error',
      'max-lines': ['error', 400],
    },
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts', 'src/core/testing/**'],
    rules: {
      'no-restricted-globals': ['error', ...OUTSIDE],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'chance comes from a seed' },
        { object: 'Date', property: 'now', message: 'time comes in with each input' },
      ],
    },
  },
  floor(
    ['src/core/**/*.ts'],
    '^(node:|vue|pinia|dexie|element-plus)|/(player|ship|studio|server|cli)/',
    'core stands on nothing but itself and plain packages',
  ),
  floor(
    ['src/player/**/*.ts'],
    '^(node:|vue|pinia|dexie|element-plus|zod)|/(ship|studio|server|cli)/',
    'the player stands on core alone, without a framework',
  ),
  floor(
    ['src/ship/**/*.ts'],
    '^(node:|vue)|/(studio|server|cli|player)/',
    'ship joins core and the built player',
  ),
  floor(['src/studio/**/*.{ts,vue}'], '^node:|/(server|cli)/', 'the studio runs in a browser'),
  floor(['src/server/**/*.ts'], '/(studio|cli|player|ship|core)/', 'the server only serves what is built'),
  floor(['src/cli/**/*.ts'], '/(studio|server|player)/', 'the command line stands on core and ship'),
  {
    files: ['**/*.test.ts', 'tests/**/*.ts'],
    rules: { '@typescript-eslint/no-explicit-any': 'off', 'max-lines': 'off' },
  },
  {
    files: ['scripts/**', 'src/server/**', 'src/cli/**', '*.mjs', '*.ts'],
    languageOptions: { globals: globals.node },
    rules: { 'no-console': 'off' },
  },
  prettier,
)
