const Sequencer = require('@jest/test-sequencer').default;

/** Files that take minutes, the longest first: one that begins last keeps everybody waiting beside an idle core. */
const LONGEST = [
  'server/src/pantry.test.ts',
  'core/src/replay/replayDay.test.ts',
  'server/src/season.test.ts',
  'core/src/kitchen/carefulKitchen.test.ts',
  'server/src/server.test.ts',
  'core/src/instruments/instruments.test.ts',
];

/** Begins with the tests that take longest; the others as Jest has them. A fresh machine knows no times of before. */
module.exports = class LongestFirst extends Sequencer {
  sort(tests) {
    const rank = ({ path }) => {
      const i = LONGEST.findIndex((name) => path.replaceAll('\\', '/').endsWith(name));
      return i < 0 ? LONGEST.length : i;
    };
    return super.sort(tests).sort((a, b) => rank(a) - rank(b));
  }
};
