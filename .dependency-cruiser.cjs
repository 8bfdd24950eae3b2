const folder = name => `^src/${name}/`
/** Tests and what only they need. */
const TESTS = '\\.test\\.tsx?$|/fixtures/|/strained(\\.ts|/)'
const only = (name, from, allowed, comment) => ({
  name,
  comment,
  severity: 'error',
  from: { path: from, pathNot: TESTS },
  to: { path: '^src/', pathNot: allowed },
})

/** The rooms of the core, from the ground up: each knows only those before it. */
const CORE = [
  'units',
  'field',
  'calculation',
  'document',
  'simulate',
  'evaluation',
  'machine',
  'drawing',
  'readings',
  'schedule',
  'sheets',
  'search',
  'diagnose',
  'orders',
  'formats',
  'planning',
  'acceptance',
  'demo',
  'trial',
  'practice',
]
const coreRooms = CORE.map((room, index) =>
  only(
    `core-${room}`,
    folder(`core/${room}`),
    folder(`core/(${CORE.slice(0, index + 1).join('|')})`),
    'A room of the core imports only those listed before it.',
  ),
)

/** Arrows point down: app -> stages -> ui, store, workers -> core. */
module.exports = {
  forbidden: [
    only('core-is-alone', folder('core'), folder('core'), 'The core imports nothing above it.'),
    ...coreRooms,
    {
      name: 'core-room-is-listed',
      comment: 'Every folder of the core stands in the list of its rooms.',
      severity: 'error',
      from: {},
      to: { path: '^src/core/', pathNot: folder(`core/(${CORE.join('|')})`) },
    },
    {
      name: 'fields-stand-alone',
      comment:
        'The fields of every sheet come with the first screen: what works with them stands in a file beside.',
      severity: 'error',
      from: { path: '^src/core/.*[mM]odel\\.ts$', pathNot: TESTS },
      to: { path: folder('core/(calculation|drawing|schedule)'), dependencyTypesNot: ['type-only'] },
    },
    {
      name: 'fixtures-are-for-tests',
      comment: 'Nothing that ships reads a fixture.',
      severity: 'error',
      from: { path: '^(src|cli)/', pathNot: TESTS },
      to: { path: '^src/.*(/fixtures/|/strained(\\.ts|/))' },
    },
    {
      name: 'sheets-know-no-simulation',
      comment: 'What judges readings does not know what they may have been made from.',
      severity: 'error',
      from: { path: '^src/core/sheets/[^/]+/', pathNot: TESTS },
      to: { path: folder('core/simulate') },
    },
    {
      name: 'sheet-not-to-sheet',
      comment: 'No sheet imports another; what sheets of one stage share stands in shared, by its subject.',
      severity: 'error',
      from: { path: '^src/core/sheets/([^/]+)/', pathNot: TESTS },
      to: {
        path: '^src/core/sheets/',
        pathNot: '^src/core/sheets/($1/|shared/|(sheet|outcome|steps\\.generated)\\.ts$)',
      },
    },
    only(
      'store-on-core',
      folder('store'),
      `${folder('store')}|${folder('core')}`,
      'The store knows the core alone.',
    ),
    only(
      'ui-on-core',
      folder('ui'),
      `${folder('ui')}|${folder('core')}`,
      'The ui knows no stage and no store.',
    ),
    {
      name: 'ui-knows-no-sheet',
      comment: 'What is of a sheet stands in its panel.',
      severity: 'error',
      from: { path: folder('ui') },
      to: { path: folder('core/sheets') },
    },
    only(
      'workers-on-core',
      folder('workers'),
      `${folder('workers')}|${folder('core')}`,
      'A worker is a thin file over the core.',
    ),
    only(
      'stages-below-app',
      folder('stages'),
      `${folder('(stages|ui|store|workers|core)')}`,
      'Stages know nothing of the routes.',
    ),
    only(
      'job-below-sheets',
      folder('stages/job'),
      `${folder('(ui|store|workers|core)')}|${folder('stages/job')}`,
      'How screens read and change the job knows no screen.',
    ),
    {
      name: 'panel-not-to-panel',
      comment: 'The panel of a sheet imports no other panel, and not the shell.',
      severity: 'error',
      from: { path: '^src/stages/sheets/([^/]+)/' },
      to: { path: '^src/stages/', pathNot: '^src/stages/(sheets/$1|job|log)/' },
    },
    {
      name: 'stage-not-to-stage',
      comment: 'A stage never imports another stage; what stages share stands in job.',
      severity: 'error',
      from: { path: '^src/stages/(home|log|record)/' },
      to: { path: '^src/stages/', pathNot: '^src/stages/($1|job)/' },
    },
    {
      name: 'core-without-interface',
      comment: 'The core runs anywhere: no React, no DOM library, no database, no Node.',
      severity: 'error',
      from: { path: folder('core'), pathNot: '\\.test\\.ts$' },
      to: { path: '(^|node_modules/)(react|react-dom|next|dexie|recharts|@chakra-ui|@emotion)(/|$)' },
    },
    {
      name: 'core-without-node',
      severity: 'error',
      from: { path: folder('core'), pathNot: '\\.test\\.ts$' },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'no-circles',
      severity: 'error',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
    { name: 'resolvable', severity: 'error', from: {}, to: { couldNotResolve: true } },
  ],
  options: {
    tsPreCompilationDeps: true,
    doNotFollow: { path: 'node_modules' },
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'default', 'types'],
      extensions: ['.ts', '.tsx', '.mjs', '.js', '.json'],
    },
  },
}
