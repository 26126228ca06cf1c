const plain = {
  testEnvironment: 'node',
  transform: {
    '\\.[jt]sx?$': ['babel-jest', { configFile: './babel.plain.config.cjs' }],
  },
  // These ship as ES modules only, or are our own TypeScript behind a workspace link.
  transformIgnorePatterns: ['/node_modules/(?!(@hoddle|uuid|pure-rand)/)'],
};

export default {
  // As many as there are cores: what waits for SQLite leaves its core to others.
  maxWorkers: '100%',
  testSequencer: './scripts/longestFirst.cjs',
  // A slow machine is no failing test: this only ends one that hangs.
  testTimeout: 1_200_000,
  projects: [
    { ...plain, displayName: 'core', rootDir: '.', roots: ['<rootDir>/core'] },
    {
      ...plain,
      displayName: 'server',
      rootDir: '.',
      roots: ['<rootDir>/contract', '<rootDir>/server'],
      setupFilesAfterEnv: ['<rootDir>/server/plainTraces.cjs'],
    },
    '<rootDir>/app/jest.config.cjs',
  ],
};
