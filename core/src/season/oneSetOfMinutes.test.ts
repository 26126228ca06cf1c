import { type Made, productQuestion } from '../../bench/day/productDay';
import { liveDay } from '../../bench/kitchen/liveDay';
import { heatUpKey } from '../canner/heatUp';
import { handsMinutes } from '../day/handsMinutes';
import { planDay } from '../day/planDay';
import { type DayEvent } from '../kitchen/dayEvent';
import { type KitchenEvent } from '../kitchen/kitchenEvent';
import { loadsNow } from '../kitchen/loadsNow';
import { type Lived, shownKitchen } from '../kitchen/shownKitchen';
import { KG_PER_LB } from '../measure/amount';
import { localDay, localMoment } from '../measure/localTime';
import { NOTHING_LEARNED } from '../yields/yieldRange';
import { batchesOfDay } from './search/batchesOfDay';
import { dayCheck } from './search/dayCheck';
import { highsSolver } from './model/highsSolver';
import { planSeason } from './search/planSeason';
import { handsMinutes as seasonHands } from './problem/planWorth';
import { seasonOfHousehold } from './problem/seasonOfHousehold';

const ZONE = 'America/Denver';
const NOW = localMoment(ZONE, [2026, 7, 29, 7 * 60]);
const MADE: Made[] = [['tomatoes-crushed', 'quart', [7, 7], 44]];
const asked = productQuestion(MADE);
const { burners, ...kitchen } = asked.setup;
const COOK = { name: 'Cook', fromMin: 6 * 60, toMin: 23 * 60, breaks: [] };
const TOLD = {
  canners: asked.canners,
  ownJars: [],
  kitchen: { ...kitchen, cooks: [COOK], timeZone: ZONE },
  burners,
  units: 'us' as const,
};

/** Three days as a slow cook lived them, two weeks and more ago. */
const LIVED = ((): Lived => {
  const days = [3, 4, 5].map((seed) => {
    const live = liveDay(asked, seed);
    if (!live) throw new Error('no such day');
    const startAt = localMoment(ZONE, [2026, 7, 1 + seed, 8 * 60]);
    const own = (id: string) => `${id} of ${seed}`;
    const day = localDay(startAt, ZONE);
    const later = <Event extends { id: string; at: number }>(event: Event) => ({
      ...event,
      id: own(event.id),
      at: startAt + 1.4 * event.at,
    });
    const batches = live.question.batches.map((batch) => ({
      ...batch,
      ...{ id: own(batch.id), startAt, loads: batch.loads.map((load) => ({ ...load, id: own(load.id) })) },
    }));
    // Tasks are named by the batch or the load they are of.
    const taskIn = (task: string) =>
      live.question.batches.reduce(
        (id, { id: batch, loads }) =>
          [batch, ...loads.map((load) => load.id)].reduce(
            (words, each) => words.replace(new RegExp(`(^| )${each}( |$)`), `$1${own(each)}$2`),
            id,
          ),
        task,
      );
    return {
      batches,
      dayEvents: live.dayEvents.map((event): DayEvent => {
        const moved = later(event);
        return 'taskId' in moved ? { ...moved, day, taskId: taskIn(moved.taskId) } : { ...moved, day };
      }),
      events: live.events.map((event): KitchenEvent => ({ ...later(event), loadId: own(event.loadId) })),
    };
  });
  const batches = days.flatMap((each) => each.batches);
  const stands = loadsNow(
    batches,
    days.flatMap(({ events }) => events),
  );
  return {
    batches,
    dayEvents: days.flatMap(({ dayEvents }) => dayEvents),
    states: new Map(stands.map(({ load, state }) => [load.id, state])),
  };
})();

const seasonIn = (shown: ReturnType<typeof shownKitchen>) =>
  seasonOfHousehold(
    {
      altitudeFt: 3_420,
      kitchen: shown,
      ...{ picks: [], lotChanges: [], looks: [], batches: [], stocked: [], hardware: [], hardwareMoves: [], pins: [] },
      plantings: [
        {
          ...{ id: 'bed', name: 'bed', crop: 'tomato-paste', count: 1, unit: 'plants', usualKg: 260 * KG_PER_LB },
          ...{ firstWeek: 32, peakWeek: 36, lastWeek: 41 },
        },
      ],
      storedLoads: new Set(),
      goals: [{ product: 'tomatoes-crushed', jar: 'quart', jars: 63, perMonth: null, priority: 'staple' }],
      pages: {},
      learned: NOTHING_LEARNED,
      daysGiven: {
        weekly: [{ weekday: 6, fromMin: 8 * 60, toMin: 19 * 60 }],
        notOn: [],
        mostAWeek: 1,
        freezerBags: 10,
      },
      before: [],
    },
    NOW,
    { weeks: 7 },
  );

test('what a kitchen has shown is what day and season go by; a date that is left out teaches nothing', () => {
  const shown = shownKitchen(TOLD, LIVED);
  const heats = [...LIVED.states.values()].map(({ startedAt = 0, boilAt = 0 }) =>
    Math.round((boilAt - startedAt) / 60_000),
  );
  const [canner] = TOLD.canners;
  expect(shown.heatUpsTaken.get(heatUpKey(canner?.id ?? '', 'boiling-water'))).toEqual(heats);
  expect(heats).toHaveLength(6);
  expect(shown.setup.handsPace).toBeGreaterThan(1.2);
  const days = [...new Set(LIVED.batches.map(({ startAt }) => localDay(startAt, ZONE)))];
  const one = {
    ...LIVED,
    batches: LIVED.batches.slice(0, 1),
    dayEvents: LIVED.dayEvents.filter(({ day }) => day === days[0]),
  };
  expect(shownKitchen(TOLD, one).paces?.size).toBeGreaterThan(2);
  const without = shownKitchen(TOLD, one, days.slice(0, 1));
  expect([without.paces, without.setup.handsPace, without.heatUpsTaken.size]).toEqual([undefined, undefined, 0]);
});

test('a season counts the minutes of the day it plans, and every day of it is one that the day planner keeps', async () => {
  const plain = seasonIn(shownKitchen(TOLD, { batches: [], dayEvents: [], states: new Map() }));
  const shown = seasonIn(shownKitchen(TOLD, LIVED));
  const [before, after] = [plain.problem.recipes[0], shown.problem.recipes[0]];
  expect(seasonHands(after!, 14) / seasonHands(before!, 14)).toBeGreaterThan(1.2);
  expect(after!.cannerMinutes).toBeGreaterThan(before!.cannerMinutes);

  const solve = await highsSolver();
  const began = performance.now();
  const { problem, kitchen: season } = shown;
  const { plan } = planSeason(problem, solve, {
    ...{ seconds: 6, seed: 1, gap: 1e-6, canBeDone: dayCheck(problem, season) },
    elapsed: () => (performance.now() - began) / 1_000,
  });
  const busy = plan.days.filter(({ batches }) => batches.length > 0);
  expect(busy.length).toBeGreaterThan(1);
  for (const day of busy) {
    const given = problem.days.find(({ id }) => id === day.day);
    const batches = batchesOfDay(day, problem.recipes, season, given?.at ?? 0, (of) => of);
    const jars = day.batches.reduce((sum, each) => sum + each.jars, 0);
    const hands = batches.reduce((sum, batch) => sum + handsMinutes(batch, season), 0);
    // Loads are counted as if all were alike: a part load makes the season's figure a little more.
    expect(Math.abs(seasonHands(after!, jars) / hands - 1)).toBeLessThan(0.05);
    const planner = planDay({ ...season, batches, startMinute: 8 * 60, seed: 7 });
    const kept = planner.kind === 'refusal' ? undefined : planner.step(300).plan;
    expect(kept?.makespanMin).toBeLessThanOrEqual(given?.windowMinutes ?? 0);
  }
});
