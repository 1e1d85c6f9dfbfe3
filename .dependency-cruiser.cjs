/** The walls between the rooms, checked by `npm test`. */
const TESTS = '\\.test\\.tsx?$|^tests/';

/**
 * The rooms of the core in the order in which they may know each other: each knows those before it. Rooms in one entry
 * do not know each other.
 */
const ORDER = [
  ['words'],
  ['documents'],
  ['learning'],
  ['drawing', 'devices'],
  ['atlas', 'measures', 'routine', 'touch'],
  ['limits'],
  ['rules'],
  ['proposal', 'guide'],
  ['record'],
  ['relief', 'schedule'],
  ['exchange'],
];
const arrows = ORDER.flatMap((rooms, i) =>
  rooms.map((room) => ({
    name: `core-${room}-knows-what-comes-before-it`,
    severity: 'error',
    from: { path: `^core/${room}/`, pathNot: TESTS },
    to: { path: '^core/', pathNot: [room, ...ORDER.slice(0, i).flat()].map((r) => `^core/${r}/`) },
  })),
);

module.exports = {
  forbidden: [
    ...arrows,
    {
      name: 'core-has-these-rooms-only',
      severity: 'error',
      from: { path: '^core/', pathNot: `^core/(${ORDER.flat().join('|')})/` },
      to: {},
    },
    {
      name: 'a-room-of-the-core-is-entered-by-its-contents-page',
      severity: 'error',
      from: { path: '^(?!core/)', pathNot: TESTS },
      to: { path: '^core/', pathNot: '^core/[^/]+/index\\.ts$' },
    },
    {
      name: 'a-room-of-the-core-enters-another-by-its-contents-page',
      severity: 'error',
      from: { path: '^core/([^/]+)/', pathNot: TESTS },
      to: { path: '^core/', pathNot: ['^core/$1/', '^core/[^/]+/index\\.ts$'] },
    },
    {
      name: 'core-is-pure',
      comment: 'core imports core and small pure libraries only',
      severity: 'error',
      from: { path: '^core/', pathNot: TESTS },
      to: {
        path: '^(app|server|reference|demo|cli|scripts|devices)/|node_modules/(react|react-router|react-bootstrap|sequelize|express|pg)(/|$)',
      },
    },
    {
      name: 'core-without-node',
      comment: 'core runs in the browser too',
      severity: 'error',
      from: { path: '^core/', pathNot: TESTS },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'reference-is-data',
      comment: 'reference knows types and shapes of the core, nothing else',
      severity: 'error',
      from: { path: '^reference/', pathNot: TESTS },
      to: { pathNot: '^(core|reference)/' },
    },
    {
      name: 'a-room-of-the-application-does-not-know-another',
      comment: 'what two rooms need is a part',
      severity: 'error',
      from: { path: '^app/rooms/([^/]+)/' },
      to: { path: '^app/rooms/', pathNot: '^app/rooms/$1/' },
    },
    {
      name: 'parts-know-no-room',
      severity: 'error',
      from: { path: '^app/parts/' },
      to: { path: '^app/(rooms|routes)/' },
    },
    {
      name: 'only-routes-know-the-server',
      comment: 'what is kept has its types in core/record; a component gets it handed in',
      severity: 'error',
      from: { path: '^app/', pathNot: `^app/routes/|^app/root\\.tsx|^app/entry\\.server|${TESTS}` },
      to: { path: '^server/' },
    },
    {
      name: 'no-types-of-the-server',
      comment: 'types of what is kept stand in core/record',
      severity: 'error',
      from: { path: '^(app|core)/' },
      to: { path: '^server/', dependencyTypes: ['type-only'] },
    },
    {
      name: 'routes-reach-the-database-through-queries',
      comment: 'models and migrations stay inside server/db',
      severity: 'error',
      from: { path: '^app/' },
      to: { path: '^server/db/(?!queries/)' },
    },
    {
      name: 'devices-stand-alone',
      comment: 'a stand-in speaks the open protocol only',
      severity: 'error',
      from: { path: '^devices/', pathNot: TESTS },
      to: { path: '^(app|server|reference|demo|cli|scripts)/|^core/(?!devices/|words/)' },
    },
    {
      name: 'no-test-in-product',
      severity: 'error',
      from: { pathNot: TESTS },
      to: { path: TESTS },
    },
    {
      name: 'no-circles',
      severity: 'error',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '\\+types/|\\?(url|raw)$|^build/|^\\.react-router/' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: { extensions: ['.ts', '.tsx', '.js', '.mjs', '.json'] },
  },
};
