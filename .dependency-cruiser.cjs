/** The order of the work: a later folder of core may use an earlier one, never the reverse. */
const ORDER = [
  'math',
  'scheduling',
  'measure',
  'handbook',
  'recipe',
  'harvest',
  'yields',
  'process',
  'canner',
  'instruments',
  'supplies',
  'day',
  'replay',
  'kitchen',
  'rehearsal',
  'pantry',
  'season',
  'formats',
];

/** In the season's room: what is asked, as a linear model, how it is searched, what is told of it. */
const SEASON = ['problem', 'model', 'search', 'report', 'spring'];

module.exports = {
  forbidden: [
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'core-stands-alone',
      severity: 'error',
      from: { path: '^core/' },
      to: { path: '^(contract|server|app|e2e)/' },
    },
    {
      name: 'contract-on-core-only',
      severity: 'error',
      from: { path: '^contract/' },
      to: { path: '^(server|app|e2e)/' },
    },
    { name: 'server-not-on-app', severity: 'error', from: { path: '^server/' }, to: { path: '^(app|e2e)/' } },
    { name: 'app-not-on-server', severity: 'error', from: { path: '^app/' }, to: { path: '^(server|e2e)/' } },
    {
      name: 'core-does-no-io',
      severity: 'error',
      from: { path: '^core/src/', pathNot: '\\.test\\.ts$' },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'drawings-know-no-features',
      comment: 'Screen.tsx alone frames every screen with the signal line and the demo clock.',
      severity: 'error',
      from: { path: '^app/src/ui/', pathNot: '^app/src/ui/Screen\\.tsx$' },
      to: { path: '^app/src/(features|household|app)/' },
    },
    {
      name: 'household-under-features',
      comment: 'What several features read of the household stands on a floor of its own below them.',
      severity: 'error',
      from: { path: '^app/src/(household|store|ui)/' },
      to: { path: '^app/src/(features|app)/' },
    },
    {
      name: 'features-apart',
      comment: 'Today alone shows a little of each of the others.',
      severity: 'error',
      from: { path: '^app/src/features/([^/]+)/', pathNot: '^app/src/features/today/' },
      to: { path: '^app/src/features/', pathNot: '^app/src/features/$1/' },
    },
    ...ORDER.map((folder, i) => ({
      name: `core-order-${folder}`,
      severity: 'error',
      from: { path: `^core/src/${folder}/`, pathNot: '\\.test\\.ts$' },
      to: { path: `^core/src/(${ORDER.slice(i + 1).join('|') || 'nothing'})/` },
    })),
    ...SEASON.map((folder, i) => ({
      name: `season-order-${folder}`,
      severity: 'error',
      from: { path: `^core/src/season/${folder}/`, pathNot: '\\.test\\.ts$' },
      to: { path: `^core/src/season/(${SEASON.slice(i + 1).join('|') || 'nothing'})/` },
    })),
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: 'node_modules|/dist/' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'default'],
      extensions: ['.ts', '.tsx', '.js', '.cjs', '.mjs'],
    },
  },
};
