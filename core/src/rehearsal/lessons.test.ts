import { handbookCanner } from '../canner/handbookCanner';
import { planDay } from '../day/planDay';
import { USUAL_KITCHEN } from '../day/kitchenSetup';
import { CANNERS } from '../handbook/canners';
import { LESSONS, lessonCanners, lessonDay } from './lessons';

const [row] = CANNERS;
const spare = (number: number) => handbookCanner(row!, { id: `spare ${number}` });
const START = Date.UTC(2026, 7, 29, 8);

/** Minutes to 1,000, 3,000, 6,000 ft and above, in boiling water. USDA Complete Guide 2015, guides 2, 3, 6, 7, as recalled. */
const PRINTED: Readonly<Record<string, readonly [number, number, number, number]>> = {
  'jam-with-pectin half-pint': [10, 10, 10, 15],
  'tomatoes-crushed quart': [45, 50, 55, 60],
  'dilled-beans pint': [5, 10, 10, 15],
  'plums pint': [20, 25, 30, 35],
};

test.each([500, 2_500, 3_420, 7_000])(
  'every lesson has its tested times at %i ft, and a plan from morning to late evening',
  (altitudeFt) => {
    const band = altitudeFt <= 1_000 ? 0 : altitudeFt <= 3_000 ? 1 : altitudeFt <= 6_000 ? 2 : 3;
    for (const lesson of LESSONS) {
      const canners = lessonCanners(lesson, [], spare);
      let next = 0;
      const { batches, picks } = lessonDay(lesson, {
        altitudeFt,
        canners,
        startAt: START,
        newId: () => `id ${next++}`,
      });
      expect([lesson.id, batches.length, picks.length]).toEqual([
        lesson.id,
        lesson.batches.length,
        lesson.batches.length,
      ]);
      for (const { product, jar, processMinutes } of batches) {
        expect([lesson.id, product, processMinutes]).toEqual([
          lesson.id,
          product,
          PRINTED[`${product} ${jar}`]?.[band],
        ]);
      }
      for (const startMinute of [8 * 60, 23 * 60]) {
        const cook = { name: 'You', fromMin: 0, toMin: 1_440, breaks: [] };
        const planner = planDay({
          batches,
          canners: [...canners],
          setup: { ...USUAL_KITCHEN, cooks: [cook] },
          startMinute,
        });
        expect([lesson.id, startMinute, planner.kind]).toEqual([lesson.id, startMinute, 'planner']);
        const plan = planner.kind === 'planner' ? planner.step(60).plan : undefined;
        expect([lesson.id, startMinute, plan !== undefined]).toEqual([lesson.id, startMinute, true]);
      }
    }
  },
);

test('a lesson takes the household’s own canner where that holds its loads, and none that is too small or times itself', () => {
  const [, tomatoes, , two] = LESSONS as unknown as [never, (typeof LESSONS)[number], never, (typeof LESSONS)[number]];
  const big = handbookCanner(row!, { id: 'own' });
  const small = { ...big, id: 'small', declaredQuarts: 5, declaredPints: 5, declaredHalfPints: 5, insideDiameterIn: 9 };
  const idsOf = (lesson: (typeof LESSONS)[number], own: (typeof big)[]) =>
    lessonCanners(lesson, own, spare).map(({ id }) => id);
  expect(idsOf(tomatoes, [small, big])).toEqual(['own']);
  expect(idsOf(tomatoes, [small])).toEqual(['spare 1']);
  expect(idsOf(tomatoes, [{ ...big, timesItself: true }])).toEqual(['spare 1']);
  expect(idsOf(two, [big])).toEqual(['own', 'spare 2']);
});
