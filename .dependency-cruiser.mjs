// Rooms of the core from the ground up: a room may use what stands before it, never what stands after it.
const storeys = [
  ['units'],
  ['language'],
  ['statistics'],
  ['equipment'],
  ['biology'],
  ['inspection'],
  ['season', 'site', 'weather'],
  ['care', 'harvest', 'skills'],
  ['situation'],
  ['practice', 'planning'],
  ['exchange', 'house', 'roster'],
  ['words'],
];
/** A room looks down: to those that stand before it, or beside it. */
const looksDown = (folder, rooms) =>
  rooms.slice(0, -1).map((own, height) => ({
    name: `${folder.replaceAll('/', '-')}-${own.join('-')}-looks-down`,
    severity: 'error',
    from: { path: `^${folder}/(${own.join('|')})/` },
    to: {
      path: `^${folder}/(${rooms
        .slice(height + 1)
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
  ['archive'],
];
const facts = [['inspection', 'season', 'skills'], ['care'], ['planning', 'practice', 'debrief']];
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
      pathNot: '^server/src/(records|facts|views|acts|jobs|routes|demo|database|clock|standins|words)/',
    },
  },
  floorRule('records', ['facts', 'views', 'acts', 'jobs', 'routes', 'demo']),
  floorRule('facts', ['views', 'acts', 'jobs', 'routes', 'demo']),
  floorRule('views', ['acts', 'jobs', 'routes', 'demo']),
  floorRule('acts', ['views', 'jobs', 'routes', 'demo']),
  floorRule('jobs', ['views', 'acts', 'routes', 'demo']),
  ...looksDown('server/src/records', records),
  ...looksDown('server/src/facts', facts),
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

// Rooms of the web application from the ground up: what a device keeps and what all screens are made of; calls; who is signed in; the rooms of
// the work; the screens of its three moments and of the office, which know nothing of each other; the frame around them.
const screens = ['ahead', 'at-the-hive', 'afterwards', 'office'];
const web = [
  ['language'],
  ['device', 'ui', 'icons'],
  ['parts'],
  ['api'],
  ['people', 'equipment'],
  ['season'],
  ['care', 'weather', 'skills', 'inspection'],
  ['planning', 'practice'],
  screens,
  ['help'],
  ['shell'],
];
const webRules = [
  ...looksDown('web/src/app', web),
  {
    name: 'web-has-these-rooms',
    severity: 'error',
    from: {},
    to: { path: '^web/src/app/[^/]+/', pathNot: `^web/src/app/(${web.flat().join('|')})/` },
  },
  {
    name: 'a-moments-screens-are-its-own',
    severity: 'error',
    from: { path: `^web/src/app/(${screens.join('|')})/` },
    to: { path: `^web/src/app/(${screens.join('|')})/`, pathNot: '^web/src/app/$1/' },
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
      to: {
        pathNot:
          '^(core/src|node_modules/((@types/)?suncalc|(@types/)?d3-(array|geo)|internmap|papaparse|@types/papaparse|pure-rand|@photostructure/tz-lookup|highs/types))',
      },
    },
    ...looksDown('core/src', storeys),
    ...serverRules,
    ...webRules,
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
