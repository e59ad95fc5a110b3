/** The floors of web, from the ground up: each stands on those before it. */
const FLOORS = [
  ['api'],
  ['ui'],
  ['system'],
  ['charts', 'findings'],
  ['proof'],
  ['brief'],
  ['areas', 'list'],
  ['app'],
];

/** A floor imports nothing that stands above it. */
const floors = FLOORS.slice(0, -1).map((floor, index) => ({
  name: `web-floors-${floor.join('-')}`,
  comment: 'api < ui < system < charts, findings < proof < brief < areas, list < app',
  severity: 'error',
  from: { path: `^web/src/(${floor.join('|')})/` },
  to: {
    path: `^web/src/(${FLOORS.slice(index + 1)
      .flat()
      .join('|')})/`,
  },
}));

/** The layers: who may import whom. */
module.exports = {
  forbidden: [
    {
      name: 'core-stands-alone',
      comment: 'core is pure: it imports neither server, web nor tools, and nothing of Node',
      severity: 'error',
      from: { path: '^core/src', pathNot: '\\.test\\.ts$' },
      to: { path: '^(server|web|tools|e2e)/' },
    },
    {
      name: 'core-without-node',
      comment: 'core runs in a browser as it runs on a server',
      severity: 'error',
      from: { path: '^core/src', pathNot: '\\.test\\.ts$' },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'heart-knows-no-document',
      comment: 'color, type, fonts, space: plain values in, plain values out',
      severity: 'error',
      from: { path: '^core/src/(color|type|fonts|space|image)/', pathNot: '\\.test\\.ts$' },
      to: { path: '^core/src/(system|derive|tokens|checks|formats|proof)/' },
    },
    {
      name: 'server-and-web-apart',
      severity: 'error',
      from: { path: '^(server|web)/src' },
      to: { path: '^(server|web|tools|e2e)/src', pathNot: '^$1/src' },
    },
    {
      name: 'areas-apart',
      comment: 'an area does not import another',
      severity: 'error',
      from: { path: '^web/src/areas/([^/]+)/' },
      to: { path: '^web/src/areas/', pathNot: '^web/src/areas/($1/|areas\\.ts)' },
    },
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    ...floors,
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'default'] },
  },
};
