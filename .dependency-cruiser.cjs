const folder = name => `^src/${name}/`
const only = (name, from, allowed, comment) => ({
  name,
  comment,
  severity: 'error',
  from: { path: from },
  to: { path: '^src/', pathNot: allowed },
})

/** Arrows point down: app -> stages -> ui, store, workers -> core. */
module.exports = {
  forbidden: [
    only('core-is-alone', folder('core'), folder('core'), 'The core imports nothing above it.'),
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
    only(
      'stages-below-app',
      folder('stages'),
      `${folder('(stages|ui|store|workers|core)')}`,
      'Stages know nothing of the routes.',
    ),
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
      name: 'stage-not-to-stage',
      comment: 'A stage never imports another stage; what stages share stands beside their folders.',
      severity: 'error',
      from: { path: '^src/stages/([^/]+)/' },
      to: { path: '^src/stages/([^/]+)/', pathNot: '^src/stages/$1/' },
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
