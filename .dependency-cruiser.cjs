// Imports point down: app, server, cli and demo know core, core knows none of them, and inside core a stage knows earlier stages only.
const STAGES = [
  'geometry',
  'model',
  'diagnostics',
  'identify',
  'vocabulary',
  'language',
  'kinematics',
  'resolve',
  'movement',
  'protect',
  'stress',
  'compare',
  'library',
  'names',
  'film',
  'statistics',
  'grade',
  'reports',
  'formats',
];

const stageRules = STAGES.slice(0, -1).map((stage, i) => ({
  name: `core-${stage}-knows-earlier-stages-only`,
  severity: 'error',
  from: { path: `^core/${stage}/`, pathNot: '\\.(test|fuzz)\\.ts$' },
  to: { path: `^core/(${STAGES.slice(i + 1).join('|')})/` },
}));

/** @type {import('dependency-cruiser').IConfiguration} */
module.exports = {
  forbidden: [
    {
      name: 'no-cycles',
      severity: 'error',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
    {
      name: 'core-stands-alone',
      severity: 'error',
      from: { path: '^core/', pathNot: '(\\.(test|fuzz)\\.ts$|^core/testing/)' },
      to: { path: '^(app|server|cli|demo|scripts)/|^node:' },
    },
    {
      name: 'core-uses-few-packages',
      severity: 'error',
      from: { path: '^core/', pathNot: '(\\.(test|fuzz)\\.ts$|^core/testing/)' },
      to: { path: 'node_modules', pathNot: 'node_modules/(zod|fastest-levenshtein)/' },
    },
    { name: 'app-and-server-apart', severity: 'error', from: { path: '^app/' }, to: { path: '^(server|cli)/' } },
    { name: 'server-knows-no-app', severity: 'error', from: { path: '^server/' }, to: { path: '^(app|cli)/' } },
    { name: 'cli-knows-core-only', severity: 'error', from: { path: '^cli/' }, to: { path: '^(app|server|demo)/' } },
    {
      name: 'routes-go-through-usecases',
      severity: 'error',
      from: { path: '^server/api/' },
      to: { path: '^server/db/(models|mappers|migrations)' },
    },
    {
      name: 'cameras-share-no-measuring',
      severity: 'error',
      from: { path: '^demo/cameras/' },
      to: { path: '^core/(film|identify)/' },
    },
    ...stageRules,
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(\\.nuxt|\\.output)' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: { extensions: ['.ts', '.vue', '.mjs', '.js', '.json'] },
  },
};
