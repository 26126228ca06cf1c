/** Packages that ship sources Jest cannot read as they are. */
const READ_BY_BABEL =
  '(jest-)?react-native|@react-native|expo|@expo|nativewind|react-native-css-interop|lucide-react-native|@hoddle|uuid|pure-rand';

module.exports = {
  displayName: 'app',
  preset: 'jest-expo',
  // The icons are modules of their own kind of file, which the preset leaves alone.
  transform: { '\\.mjs$': 'babel-jest' },
  setupFiles: ['<rootDir>/jest.setup.cjs'],
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1' },
  transformIgnorePatterns: [`/node_modules/(?!(${READ_BY_BABEL}))`],
};
