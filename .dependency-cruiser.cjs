/** The walls between the rooms, checked by `npm test`. */
const TESTS = '\\.test\\.tsx?$';
module.exports = {
  forbidden: [
    {
      name: 'core-is-pure',
      comment: 'core imports core and small pure libraries only',
      severity: 'error',
      from: { path: '^core/', pathNot: TESTS },
      to: { path: '^(app|server|reference|demo|cli|scripts|devices)/|node_modules/(react|sequelize|express|pg)(/|$)' },
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
      name: 'app-reaches-the-database-through-queries',
      comment: 'models and migrations stay inside server/db',
      severity: 'error',
      from: { path: '^app/' },
      to: { path: '^server/db/(models|migrations|connection)' },
    },
    {
      name: 'devices-stand-alone',
      comment: 'a stand-in speaks the open protocol only',
      severity: 'error',
      from: { path: '^devices/', pathNot: TESTS },
      to: { path: '^(app|core|server|reference|demo|cli|scripts)/' },
    },
    {
      name: 'no-test-in-product',
      severity: 'error',
      from: { pathNot: '\\.test\\.tsx?$|^tests/' },
      to: { path: '\\.test\\.tsx?$|^tests/' },
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
