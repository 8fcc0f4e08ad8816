import withNuxt from './.nuxt/eslint.config.mjs'

// Node 20 lacks it and the flat-config tools call it.
Object.groupBy ??= (items, keyOf) => {
  const groups = Object.create(null)
  let i = 0
  for (const item of items) (groups[keyOf(item, i++)] ??= []).push(item)
  return groups
}

const outward = '^(vue|vue-router|pinia|nuxt|h3|nitropack|vuetify|drizzle-orm|better-sqlite3|ol|dexie|joi)(/|$)|^(@vue|@nuxt|@pinia)/|^#|^~|^@/|^node:|/(app|server|shared|sim|demo)/'
const message = 'core/ is pure: no interface, database, network or file imports'

export default withNuxt(
  {
    files: ['core/**/*.ts'],
    ignores: ['core/**/*.test.ts'],
    rules: {
      'no-restricted-imports': ['error', { patterns: [{ regex: outward, message }] }],
      'no-restricted-syntax': ['error',
        { selector: `ImportExpression[source.value=/${outward.replaceAll('/', '\\u002F')}/]`, message },
        { selector: 'CallExpression[callee.object.name="Math"][callee.property.name="random"]', message: 'core/ takes its random source as an argument' },
        { selector: 'CallExpression[callee.object.name="Date"][callee.property.name="now"]', message: 'core/ takes the time as an argument' },
        { selector: 'CallExpression[callee.object.name="DateTime"][callee.property.name=/^(now|local|utc)$/]', message: 'core/ takes the time as an argument' },
        { selector: 'NewExpression[callee.name="Date"][arguments.length=0]', message: 'core/ takes the time as an argument' },
      ],
    },
  },
  {
    files: ['app/**/*.{ts,vue}'],
    rules: { 'no-restricted-imports': ['error', { patterns: [{ regex: '/server/|^drizzle-orm|^better-sqlite3', message: 'the app talks to the server over HTTP' }] }] },
  },
  {
    files: ['server/**/*.ts', 'shared/**/*.ts'],
    rules: { 'no-restricted-imports': ['error', { patterns: [{ regex: '/app/|^vue|^pinia|^ol(/|$)', message: 'no interface code on this side' }] }] },
  },
  { rules: { 'vue/multi-word-component-names': 'off' /* pages are named by their path */, '@typescript-eslint/no-explicit-any': 'error' } },
)
