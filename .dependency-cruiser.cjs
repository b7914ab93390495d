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
  'calls',
  'names',
  'film',
  'statistics',
  'grade',
  'reports',
  'plan',
  'practice',
  'quiz',
  'night',
  'paper',
  'formats',
];
/** The rooms of the resolver, each of which knows those before it. */
const ROOMS = ['prepare', 'settle', 'allot', 'judge', 'explain'];

/** Rules that let nobody look ahead: `place` names the folder of a stage. */
const inOrder = (stages, place) =>
  stages.slice(0, -1).map((stage, i) => ({
    name: `${place(stage).replace('^', '').replaceAll('/', '-')}knows-earlier-stages-only`,
    severity: 'error',
    from: { path: place(stage), pathNot: TESTS },
    to: { path: place(`(${stages.slice(i + 1).join('|')})`) },
  }));

const TESTS = '(\\.(test|laws)\\.ts$|^core/testing/)';
const CORE = { path: '^core/', pathNot: TESTS };

/** @type {import('dependency-cruiser').IConfiguration} */
module.exports = {
  forbidden: [
    { name: 'no-cycles', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'core-stands-alone',
      severity: 'error',
      from: CORE,
      to: { path: '^(app|server|cli|demo|scripts|bench|tests)/' },
    },
    { name: 'core-knows-no-machine', severity: 'error', from: CORE, to: { dependencyTypes: ['core'] } },
    { name: 'core-knows-no-tests', severity: 'error', from: CORE, to: { path: TESTS } },
    {
      name: 'core-uses-few-packages',
      severity: 'error',
      from: CORE,
      to: { path: 'node_modules', pathNot: 'node_modules/(zod|fastest-levenshtein|ml-matrix)/' },
    },
    { name: 'app-and-server-apart', severity: 'error', from: { path: '^app/' }, to: { path: '^(server|cli)/' } },
    {
      name: 'what-use-cases-stand-on-knows-none-of-them',
      severity: 'error',
      from: { path: '^server/(db|book|copy|mail|session|storage|watch)/' },
      to: { path: '^server/(usecases|api|jobs)/' },
    },
    { name: 'server-knows-no-app', severity: 'error', from: { path: '^server/' }, to: { path: '^(app|cli)/' } },
    { name: 'cli-knows-core-only', severity: 'error', from: { path: '^cli/' }, to: { path: '^(app|server|demo)/' } },
    {
      name: 'eyes-know-core-only',
      severity: 'error',
      from: { path: '^eyes/' },
      to: { path: '^(app|server|cli|demo|scripts)/' },
    },
    {
      // The picture library makes functions while it runs: it is let in where nothing else is.
      name: 'eyes-are-a-workers',
      severity: 'error',
      from: { pathNot: '^(eyes|scripts/measure)/|^app/workers/look\\.worker\\.ts$' },
      to: { path: '^eyes/|node_modules/@techstark/opencv-js/' },
    },
    {
      name: 'routes-go-through-usecases',
      severity: 'error',
      from: { path: '^server/api/' },
      to: { path: '^server/db/(models|mappers|migrations|queries)' },
    },
    {
      name: 'cameras-share-no-measuring',
      severity: 'error',
      from: { path: '^demo/cameras/' },
      to: { path: '^core/(film|identify)/' },
    },
    ...inOrder(STAGES, (stage) => `^core/${stage}/`),
    ...inOrder(ROOMS, (room) => `^core/resolve/${room}/`),
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(\\.nuxt|\\.output)' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: { extensions: ['.ts', '.vue', '.mjs', '.js', '.json'] },
  },
};
