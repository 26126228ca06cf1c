import fc from 'fast-check';
import { handbookCanner } from '../../canner/handbookCanner';
import { CANNERS } from '../../handbook/canners';
import { type Lot } from '../../harvest/onHand';
import { batchesToEnter, openedBatches } from './openedBatches';
import { type ReportedBatch, type ReportedDay } from './seasonReport';

const LB = 0.45359237;
const DAY_MS = 24 * 60 * 60_000;
const big = handbookCanner(CANNERS[0]!, { id: 'big' });
const KITCHEN = { altitudeFt: 800, canners: [big, { ...big, id: 'second', name: 'Second pot' }], ownJars: [] };

function lot(pickId: string, lb: number, over: Partial<Lot> = {}): Lot {
  return {
    ...{ pickId, crop: 'tomato-slicing', part: 'sound', ripeness: 'ripe', place: 'cool', since: 0, keepsDays: 5 },
    ...{ massKg: lb * LB, until: 5 * DAY_MS, thawed: false },
    ...over,
  } as Lot;
}

function planned(product: ReportedBatch['product'], jars: number, lb: number, more: Partial<ReportedBatch> = {}) {
  return {
    ...{ recipe: `${product} ${lb}`, product, jar: 'quart', jars, loads: 1, thawed: false, overnight: false },
    handsMinutes: 60,
    crops: lb > 0 ? [{ crop: 'tomato-slicing', massKg: lb * LB }] : [],
    ...more,
  } as ReportedBatch;
}

function dayOf(...batches: ReportedBatch[]): ReportedDay {
  return { day: '2026-08-29', at: DAY_MS, windowMinutes: 600, handsMinutes: 120, batches, takings: [] };
}

function open(day: ReportedDay, lots: readonly Lot[]) {
  let id = 0;
  return openedBatches(day, lots, KITCHEN, {}, DAY_MS, () => `id ${id++}`);
}

test('thin juice of the season begins with the pot of the same day, takes no produce and another canner', () => {
  const juice = planned('tomato-juice', 5, 0, { from: 'thin juice' });
  // Whichever of the two the plan names first.
  for (const batches of [
    [planned('tomato-sauce-thick', 6, 45), juice],
    [juice, planned('tomato-sauce-thick', 6, 45)],
  ]) {
    const opened = open(dayOf(...batches), [lot('p', 46)]);
    expect(opened.map(({ ready }) => ready)).toEqual([true, true]);
    const [pot, second] = ['tomato-sauce-thick', 'tomato-juice'].map(
      (product) => opened.find(({ made }) => made?.product === product)!.made!,
    );
    expect(batchesToEnter(opened)).toEqual([pot, second]);
    expect(pot!.gives).toEqual(['thin-juice']);
    expect(second!.from).toEqual({ batchId: pot!.id, kind: 'thin-juice', crop: 'tomato-slicing' });
    expect(second!.uses).toEqual([]);
    expect(second!.cannerId).not.toBe(pot!.cannerId);
    // USDA Complete Guide, Guide 3: tomato juice in quarts, 40 minutes up to 1,000 ft.
    expect(second!.processMinutes).toBe(40);
  }
});

test('one pot gives its juice once; without a pot that is ready there is no juice', () => {
  const juice = () => planned('tomato-juice', 3, 0, { from: 'thin juice' });
  const ready = (lots: Lot[], ...batches: ReportedBatch[]) => open(dayOf(...batches), lots).map((each) => each.ready);
  expect(ready([lot('p', 46)], planned('tomato-sauce-thick', 6, 45), juice(), juice())).toEqual([true, true, false]);
  expect(ready([lot('p', 20)], planned('tomato-sauce-thick', 6, 45), juice())).toEqual([false, false]);
  expect(ready([lot('p', 46)], planned('tomatoes-crushed', 7, 45), juice())).toEqual([true, false]);
});

test('nothing is taken twice: of each basket no more than lies in each of its places', () => {
  const lots = fc.array(
    fc.record({
      pick: fc.constantFrom('a', 'b', 'c'),
      lb: fc.double({ min: 1, max: 40, noNaN: true }),
      place: fc.constantFrom('cool', 'freezer'),
      until: fc.integer({ min: 0, max: 9 }),
    }),
    { minLength: 1, maxLength: 5 },
  );
  const asked = fc.array(fc.record({ lb: fc.double({ min: 2, max: 30, noNaN: true }), thawed: fc.boolean() }), {
    minLength: 1,
    maxLength: 4,
  });
  fc.assert(
    fc.property(lots, asked, (there, batches) => {
      const all = there.map(({ pick, lb, place, until }) =>
        lot(pick, lb, { place: place as Lot['place'], until: until * DAY_MS }),
      );
      const opened = open(
        dayOf(...batches.map(({ lb, thawed }, i) => planned('tomatoes-crushed', 2 + i, lb, { thawed }))),
        all,
      );
      const inTime = all.filter(({ until }) => until >= DAY_MS);
      const uses = opened.flatMap(({ made }) => made?.uses ?? []);
      const of = (pick: string) => uses.filter(({ pickId }) => pickId === pick);
      for (const pick of ['a', 'b', 'c']) {
        const lies = (isFrozen: boolean) =>
          inTime
            .filter(({ pickId, place }) => pickId === pick && (place === 'freezer') === isFrozen)
            .reduce((sum, { massKg }) => sum + massKg, 0);
        const frozen = of(pick).reduce((sum, { frozenKg = 0 }) => sum + frozenKg, 0);
        const fresh = of(pick).reduce((sum, { massKg }) => sum + massKg, 0) - frozen;
        expect(frozen).toBeLessThanOrEqual(lies(true) + 1e-9);
        expect(fresh).toBeLessThanOrEqual(lies(false) + 1e-9);
      }
      // What was said to be ready is nine tenths there at least.
      opened.forEach(({ made }, i) => {
        const kg = (made?.uses ?? []).reduce((sum, { massKg }) => sum + massKg, 0);
        if (made) expect(kg).toBeGreaterThanOrEqual(0.9 * batches[i]!.lb * LB - 1e-9);
      });
    }),
  );
});
