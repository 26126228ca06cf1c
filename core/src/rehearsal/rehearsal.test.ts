import { chanceFrom } from '../../bench/chance';
import { kitchenFaults } from '../../bench/kitchen/kitchenFaults';
import { rehearsedRun } from '../../bench/kitchen/rehearsedRun';
import { handbookCanner } from '../canner/handbookCanner';
import { type Batch } from '../day/batch';
import { USUAL_KITCHEN } from '../day/kitchenSetup';
import { type DayQuestion } from '../day/questionOfDay';
import { CANNERS } from '../handbook/canners';
import { debriefOf } from './debrief';
import { MISHAP_KINDS } from './mishap';

const [row] = CANNERS;
const KINDS = [
  ['tomatoes-crushed', 'pint', 'hot', 35],
  ['dilled-beans', 'pint', 'raw', 5],
  ['apple-butter', 'half-pint', 'hot', 5],
] as const;

/** One or two batches in a pot, from 8 in the morning; minutes to 1,000 ft, USDA Complete Guide 2015, as recalled. */
function dayOfLesson(seed: number): DayQuestion {
  const chance = chanceFrom(seed);
  const batches = Array.from({ length: chance.oneOf([1, 1, 2]) }, (_, k): Batch => {
    const [product, jar, pack, processMinutes] = chance.oneOf(KINDS);
    return {
      ...{
        id: `b${k}`,
        product,
        jar,
        pack,
        processMinutes,
        method: 'boiling-water',
        altitudeFt: 500,
        cannerId: 'pot',
        startAt: 0,
      },
      uses: [{ pickId: 'p', massKg: 6, softKg: 0 }],
      loads: Array.from({ length: chance.oneOf([1, 2]) }, (__, i) => ({ id: `l${k}${i}`, number: i + 1, jars: 7 })),
    };
  });
  const canners = [handbookCanner(row!, { id: 'pot' })];
  const cook = { name: 'Cook', fromMin: 0, toMin: 1_440, breaks: [] };
  return { batches, canners, setup: { ...USUAL_KITCHEN, cooks: [cook] }, startMinute: 8 * 60 };
}

const run = (seed: number, more: Partial<Parameters<typeof rehearsedRun>[1]> = {}) =>
  rehearsedRun(dayOfLesson(seed), { seed, altitudeFt: 500, mishaps: 'chance', ...more });

test('a rehearsal by the rules keeps every rule of the kitchen, whatever goes wrong, and every jar of it would go to the shelf', () => {
  let wrong = 0;
  for (let seed = 0; seed < 16; seed++) {
    const day = run(seed, { mishaps: seed % 2 === 0 ? MISHAP_KINDS : 'chance' });
    expect([seed, ...kitchenFaults(day)]).toEqual([seed]);
    wrong += day.rehearsed.mishaps.length;
    const { running, events, dayEvents, batches, endAt: now } = day;
    const { findings, jarsToShelf, jarsLost, rules } = debriefOf(day.rehearsed, {
      running,
      events,
      dayEvents,
      batches,
      now,
    });
    const unsafe = findings.filter(({ kind }) => kind === 'short' || kind === 'too-soon' || kind === 'skipped');
    expect([seed, unsafe]).toEqual([seed, []]);
    const inJars = [...running.loads.values()].reduce((sum, { state }) => sum + state.jars, 0);
    expect([seed, jarsToShelf, jarsLost]).toEqual([seed, inJars, 0]);
    expect(rules).toHaveLength(3);
  }
  expect(wrong).toBeGreaterThan(50);
});

test('who never looks into the pot is told which jars boiled too short, by how much, and what the rule is; another seed is another day', () => {
  let short = 0;
  for (let seed = 0; seed < 8; seed++) {
    const day = run(seed, { mishaps: ['boil-lost'], looksIntoPots: false });
    const { running, events, dayEvents, batches, endAt: now } = day;
    const debrief = debriefOf(day.rehearsed, { running, events, dayEvents, batches, now });
    const [mishap] = day.rehearsed.mishaps;
    const own = mishap?.kind === 'boil-lost' ? running.loads.get(mishap.loadId) : undefined;
    expect(own).toBeDefined();
    const found = debrief.findings.filter(({ kind }) => kind === 'short');
    expect([seed, found.length]).toEqual([seed, 1]);
    expect(found[0]).toMatchObject({ rule: 'whole-again', cost: expect.stringContaining('refrigerator') });
    expect(debrief.jarsLost).toBe(own?.state.jars);
    expect(debrief.rules[0]).toContain('brought back');
    short += found.length;
  }
  expect(short).toBe(8);
  expect(run(3).endMin).toBe(run(3).endMin);
  expect(
    new Set([1, 2, 3, 4].map((seed) => rehearsedRun(dayOfLesson(7), { seed, altitudeFt: 500, mishaps: [] }).endMin))
      .size,
  ).toBeGreaterThan(1);
});
