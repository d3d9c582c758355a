// The floors of the house. `npm test` holds them; `npm run floors` draws docs/floors.svg from them.
// What a floor may import is what stands under it, in this order.
const CORE = [
  'ground',
  'physics',
  'rules',
  'recipe',
  'ledger',
  'state',
  'judgement',
  'advice',
  'admission',
  'proof',
  'kitchen',
]
const WEB = [
  'memory',
  'kit',
  'parts',
  'app',
  'login|board',
  'methods|temper|eggs|store|decide|start|limits|cooldown|handover|people|instruments|setup|settings|signing|account|group|log|review|trends|ours|round|lists|fitness|traces|packets|transcribed',
  'bench|line|checker',
  'shell',
]

/** One rule for each floor but the top: nothing from a floor above it. */
const floors = (part, names) =>
  names.slice(0, -1).map((name, i) => ({
    name: `${part}: ${name} stands under what it may not import`,
    severity: 'error',
    from: { path: `^${part}/src/(${name})/`, pathNot: TESTS },
    to: { path: `^${part}/src/(${names.slice(i + 1).join('|')})/` },
  }))

const never = (from, to, why) => ({
  name: why,
  severity: 'error',
  from: { path: from, pathNot: TESTS },
  to: { path: to },
})
const TESTS = '\\.test\\.tsx?$|/test/'

module.exports = {
  forbidden: [
    { name: 'no circle of files', severity: 'error', from: { pathNot: TESTS }, to: { circular: true } },
    {
      name: 'no circle of rooms',
      scope: 'folder',
      severity: 'error',
      from: { path: '^(core|server|web)/src/', pathNot: '/test$' },
      to: { circular: true },
    },
    ...floors('core', CORE),
    ...floors('web', WEB),
    never(
      '^core/',
      '^(wording|repertoire|checker|server|demo|bench|web)/|^node_modules/(?!canonicalize)',
      'core is pure and knows no other part',
    ),
    never(
      '^wording/',
      '^(repertoire|checker|server|demo|bench|web)/|^node_modules/(?!intl-messageformat|@formatjs|qrcode)',
      'wording knows core, and the libraries that fill messages and draw square codes',
    ),
    {
      name: 'core, wording and web run in a browser',
      severity: 'error',
      from: { path: '^(core|wording|checker|web)/src/', pathNot: '^checker/src/node/' },
      to: { dependencyTypes: ['core'] },
    },
    never('^checker/', '^(repertoire|server|demo|benchmarks|web)/', 'the checker knows core and wording only'),
    never('^repertoire/', '^(wording|checker|server|demo|benchmarks|web)/', 'repertoire knows core only'),
    never('^server/', '^(demo|benchmarks|web)/', 'server does not know web, the demo or the benchmarks'),
    never('^web/', '^(repertoire|server|demo|benchmarks)/', 'web does not know server'),
    { name: 'no import that leads nowhere', severity: 'error', from: {}, to: { couldNotResolve: true } },
  ],
  options: {
    doNotFollow: { path: 'node_modules|/dist/' },
    exclude: { path: '\\.test\\.tsx?$|/src/test/|/dist/' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['@logged-thermal/source', 'types', 'import', 'require', 'default'],
    },
  },
}
