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
      to: { path: 'node_modules/(knex|mysql2)', dependencyTypesNot: ['type-only'] },
    },
    {
      name: 'express-only-at-the-edge',
      severity: 'error',
      from: { path: '^server/src/.*(service|store)\\.ts$' },
      to: { path: 'node_modules/express' },
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
