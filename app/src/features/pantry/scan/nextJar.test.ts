import { AWAY_MS, type InSight, nextJars, NOTHING_SEEN } from './nextJar';

/** What is counted over pictures that follow each other, 100 ms apart. */
function counted(pictures: readonly (readonly string[])[]): string[] {
  let sight: InSight = NOTHING_SEEN;
  return pictures.flatMap((codes, i) => {
    const { jars, now } = nextJars(sight, codes, i * 100);
    sight = now;
    return jars;
  });
}
const held = (code: string, pictures: number) => Array.from({ length: pictures }, () => [code]);
const away = (ms: number) => Array.from({ length: Math.ceil(ms / 100) }, () => [] as string[]);

test('a jar held before the camera is one jar, however long and however it blinks; the next of its load is another', () => {
  expect(counted(held('A', 40))).toEqual(['A']);
  expect(counted([...held('A', 3), ...away(AWAY_MS / 2), ...held('A', 3)])).toEqual(['A']);
  expect(counted([...held('A', 3), ...away(AWAY_MS + 100), ...held('A', 3)])).toEqual(['A', 'A']);
  expect(counted([...held('A', 3), ...held('B', 2), ...held('C', 1)])).toEqual(['A', 'B', 'C']);
  expect(
    counted([
      ['A', 'B', 'A'],
      ['B', 'A'],
    ]),
  ).toEqual(['A', 'B']);
});
