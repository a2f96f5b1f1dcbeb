// Rooms of the core from the ground up: a room may use what stands before it, never what stands after it.
const storeys = [
  ['units'],
  ['equipment'],
  ['biology'],
  ['inspection'],
  ['season', 'weather'],
  ['care', 'harvest', 'skills'],
  ['practice', 'planning'],
  ['exchange'],
];
const roomRules = storeys.slice(0, -1).map((rooms, floor) => ({
  name: `core-${rooms.join('-')}-looks-down`,
  severity: 'error',
  from: { path: `^core/src/(${rooms.join('|')})/` },
  to: {
    path: `^core/src/(${storeys
      .slice(floor + 1)
      .flat()
      .join('|')})/`,
  },
}));

// Floors of the server, and the rooms on each from the ground up. See docs/architecture.md.
const records = [
  ['people', 'equipment'],
  ['care', 'weather', 'planning'],
  ['season', 'skills'],
  ['inspection'],
  ['debrief', 'practice'],
];
const facts = [['inspection', 'season', 'skills'], ['care'], ['planning', 'practice', 'debrief']];
const looksDown = (floor, rooms) =>
  rooms.slice(0, -1).map((own, height) => ({
    name: `server-${floor}-${own.join('-')}-looks-down`,
    severity: 'error',
    from: { path: `^server/src/${floor}/(${own.join('|')})/` },
    to: {
      path: `^server/src/${floor}/(${rooms
        .slice(height + 1)
        .flat()
        .join('|')})/`,
    },
  }));
const floorRule = (floor, above) => ({
  name: `server-${floor}-looks-down`,
  severity: 'error',
  from: { path: `^server/src/${floor}/` },
  to: { path: `^server/src/(${above.join('|')})/` },
});
const DOORS = '^server/src/(records|facts)/[^/]+/';
const serverRules = [
  {
    name: 'server-has-these-floors',
    severity: 'error',
    from: {},
    to: {
      path: '^server/src/[^/]+/',
      pathNot: '^server/src/(records|facts|views|acts|jobs|routes|demo|database|clock|standins)/',
    },
  },
  floorRule('records', ['facts', 'views', 'acts', 'jobs', 'routes', 'demo']),
  floorRule('facts', ['views', 'acts', 'jobs', 'routes', 'demo']),
  floorRule('views', ['acts', 'jobs', 'routes', 'demo']),
  floorRule('acts', ['views', 'jobs', 'routes', 'demo']),
  floorRule('jobs', ['views', 'acts', 'routes', 'demo']),
  ...looksDown('records', records),
  ...looksDown('facts', facts),
  {
    name: 'a-view-is-nobody-elses',
    severity: 'error',
    from: { path: '^server/src/views/([^/]+)/' },
    to: { path: '^server/src/views/', pathNot: '^server/src/views/$1/' },
  },
  {
    name: 'a-room-has-one-door',
    severity: 'error',
    from: { path: '^server/src/(records|facts)/([^/]+)/' },
    to: { path: DOORS, pathNot: ['^server/src/$1/$2/', '/index\\.ts$'] },
  },
  {
    name: 'rooms-are-entered-by-their-door',
    severity: 'error',
    from: { path: '^server/src/', pathNot: DOORS },
    to: { path: DOORS, pathNot: '/index\\.ts$' },
  },
];

/** @type {import('dependency-cruiser').IConfiguration} */
export default {
  forbidden: [
    { name: 'no-circular', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'core-is-pure',
      severity: 'error',
      from: { path: '^core/src' },
      to: { pathNot: '^(core/src|node_modules/((@types/)?suncalc|papaparse|@types/papaparse|pure-rand|highs/types))' },
    },
    ...roomRules,
    ...serverRules,
    {
      name: 'contract-only-core-and-zod',
      severity: 'error',
      from: { path: '^contract/src' },
      to: { pathNot: '^(contract/src|core/src|node_modules/zod)' },
    },
    { name: 'demo-is-data', severity: 'error', from: { path: '^demo/src' }, to: { pathNot: '^(demo/src|core/src)' } },
    { name: 'web-not-server', severity: 'error', from: { path: '^web/' }, to: { path: '^(server|demo)/' } },
    { name: 'server-not-web', severity: 'error', from: { path: '^server/' }, to: { path: '^web/' } },
    {
      name: 'sql-only-in-stores',
      severity: 'error',
      from: { path: '^server/src', pathNot: '(store|migrations/.*|database/.*)\\.ts$' },
      to: { path: 'node_modules/(knex|mysql2)/' },
    },
    {
      name: 'express-only-at-the-edge',
      severity: 'error',
      from: { path: '^server/src/(records|facts|views|acts|jobs)/' },
      to: { path: 'node_modules/(@types/)?express(-serve-static-core)?/' },
    },
    { name: 'no-unresolvable', severity: 'error', from: {}, to: { couldNotResolve: true } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)(dist|results)/|\\.svg$' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'types', 'default'],
      extensions: ['.ts', '.js', '.mjs', '.json', '.scss'],
    },
  },
};
