import eslint from '@eslint/js'
import prettier from 'eslint-config-prettier'
import vue from 'eslint-plugin-vue'
import globals from 'globals'
import ts from 'typescript-eslint'

/** The rooms of core and of the studio, lowest first: a room uses those below it and none beside or above it. */
const CORE_ROOMS = [
  'texts',
  'settings',
  'deck',
  'board',
  'deal',
  'play',
  'game',
  'files',
  'odds',
  'audit',
  'findings',
]
const STUDIO_ROOMS = ['store', 'workers', 'parts', 'stations', 'pages']
const STATIONS = ['deck', 'deal', 'rules', 'play', 'odds', 'ship']

/** What each floor may not reach for. */
const FLOORS = {
  core: '^(node:|vue|pinia|dexie|element-plus)|/(project-page|engine|player|ship|studio|server|cli)/',
  engine: '^(node:|vue|pinia|dexie|element-plus|zod)|/(project-page|player|ship|studio|server|cli)/',
  'project-page': '^(node:|vue|pinia|dexie|element-plus|zod)|/(core|player|ship|studio|server|cli)/',
  player: '^(node:|vue|pinia|dexie|element-plus|zod)|/(project-page|ship|studio|server|cli)/',
  ship: '^(node:|vue)|/(project-page|studio|server|cli|player)/',
  studio: '^node:|/(project-page|server|cli)/',
  server: '/(project-page|studio|cli|player|ship)/',
  cli: '/(project-page|studio|server|player)/',
}

/** One block for each room, with all that it may not reach for: a later block would overwrite the patterns of an earlier one. */
const room = (files, forbidden, message, ignores = []) => ({
  files,
  ignores: ['**/*.test.ts', 'src/core/testing/**', ...ignores],
  rules: { 'no-restricted-imports': ['error', { patterns: forbidden.map((regex) => ({ regex, message })) }] },
})
const above = (rooms, i) => `/(${rooms.slice(i + 1).join('|')})/`
const ROOMS = [
  ...CORE_ROOMS.map((name, i) =>
    room(
      [`src/core/${name}/**/*.ts`],
      [FLOORS.core, ...(i < CORE_ROOMS.length - 1 ? [`^\\.\\.${above(CORE_ROOMS, i)}`] : [])],
      `core/${name} uses the rooms below it only`,
    ),
  ),
  room(['src/core/*.ts'], [FLOORS.core, `^\\./(${CORE_ROOMS.join('|')})/`], 'what all rooms use, uses none'),
  ...STUDIO_ROOMS.filter((name) => name !== 'stations').map((name) => {
    const i = STUDIO_ROOMS.indexOf(name)
    const higher =
      i < STUDIO_ROOMS.length - 1
        ? [`^(\\.\\./)+(${STUDIO_ROOMS.slice(i + 1).join('|')}|router)[/.]`]
        : ['^(\\.\\./)+router']
    return room(
      [`src/studio/${name}/**/*.{ts,vue}`],
      [FLOORS.studio, ...higher],
      `studio/${name} uses the rooms below it only`,
    )
  }),
  ...STATIONS.map((name) =>
    room(
      [`src/studio/stations/${name}/**/*.{ts,vue}`],
      [
        FLOORS.studio,
        '^(\\.\\./)+(pages|router)[/.]',
        `^(\\.\\./)+(${STATIONS.filter((other) => other !== name).join('|')})/`,
      ],
      'stations do not know each other, nor the pages',
    ),
  ),
  room(['src/studio/*.{ts,vue}'], [FLOORS.studio], 'the studio runs in a browser'),
  ...['engine', 'project-page', 'player', 'ship', 'server', 'cli'].map((name) =>
    room([`src/${name}/**/*.ts`], [FLOORS[name]], `${name} uses the floors below it only`),
  ),
]

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
  ...ROOMS,
  {
    files: ['**/*.test.ts', 'tests/**/*.ts'],
    rules: { '@typescript-eslint/no-explicit-any': 'off', 'max-lines': 'off' },
  },
  {
    files: ['scripts/**', 'src/server/**', 'src/cli/**', '*.mjs', '*.ts', 'tests/*.mjs'],
    languageOptions: { globals: globals.node },
    rules: { 'no-console': 'off' },
  },
  prettier,
)
