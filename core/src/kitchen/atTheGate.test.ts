import fc from 'fast-check';
import { amountsOfBatch, loadsOfGate } from '../day/amountsOfBatch';
import { type Batch, jarsOf, massKgOf } from '../day/batch';
import { CARDS, findCard, isOffered } from '../handbook/cards';
import { type Card } from '../handbook/cards/card';
import { ownCardId } from '../handbook/ownIds';
import { layOwnPages, NO_OWN_PAGES } from '../handbook/ownPages';
import { findProduce, type ProduceId } from '../handbook/produce';
import { type Pick } from '../harvest/pick';
import { onHand } from '../harvest/onHand';
import { timedUses } from '../day/timedUses';
import { mainLine, measuredPart } from '../recipe/cardCrops';
import { ownPagesOf } from '../recipe/own/pagesOf';
import { readRecipe } from '../recipe/own/readRecipe';
import { setsByTheBox } from '../recipe/pots';
import { endOf } from '../recipe/kitchenMeasure';
import { cropCard } from '../yields/cardForCrop';
import { atTheGate } from './atTheGate';
import { batchesNow } from './batchesNow';
import { AS_PLANNED } from './byTheTable';
import { type DayEvent } from './dayEvent';
import { keptCold } from './keptCold';
import { moreForBatch } from './moreForBatch';
import { withoutPectin } from './withoutPectin';

const HOUR = 60 * 60_000;
const PAGES = { checkedRows: new Map<string, string>(), sources: [] };

function pick(id: string, crop: ProduceId, massKg: number, more: Partial<Pick> = {}): Pick {
  const usual = { softKg: 0, ripeness: 'ripe', place: 'cool', pickedAt: 0, told: '', source: 'garden' } as const;
  return { id, crop, massKg, ...usual, plantingId: null, ...more };
}

function batchOf(card: Card, crop: ProduceId, batches: number, jars: readonly number[]): Batch {
  const kg = (cropCard(card, crop)?.main.kgPerBatch ?? 1) * batches;
  return {
    ...{
      id: 'b',
      product: card.product,
      recipe: card.card,
      jar: card.yields!.jar,
      pack: 'hot',
      method: 'boiling-water',
    },
    ...{ altitudeFt: 0, processMinutes: 10, cannerId: 'c', startAt: 2 * HOUR },
    uses: [
      { pickId: 'p', crop, massKg: kg / 2, softKg: kg / 4 },
      { pickId: 'q', crop, massKg: kg / 2, softKg: 0 },
    ],
    loads: jars.map((each, i) => ({ id: `load ${i}`, number: i + 1, jars: each })),
  };
}

/** Every card that something is measured of, with the crop it is made of first. */
const MEASURED = CARDS.filter((card) => isOffered(card) && card.yields && measuredPart(card)).flatMap((card) => {
  const crop = mainLine(card)?.crops.flatMap((each) => findProduce(each)?.crop ?? [])[0];
  return crop && cropCard(card, crop) ? [{ card, crop }] : [];
});

test('what was measured is what the pots take from then on, so many of the card, with no less acid than its own', () => {
  expect(MEASURED.length).toBeGreaterThan(80);
  fc.assert(
    fc.property(
      fc.constantFrom(...MEASURED.filter(({ card }) => !setsByTheBox(card))),
      fc.double({ min: 0.4, max: 1.6, noNaN: true }),
      ({ card, crop }, part) => {
        const batch = batchOf(card, crop, 1, [Math.max(1, Math.floor(card.yields!.low))]);
        const { perBatch } = measuredPart(card)!;
        const before = amountsOfBatch(batch)!.card;
        const amount = perBatch * part;
        const at = atTheGate(batch, before, batch.loads, amount)!;
        const loads = [{ ...batch.loads[0]!, jars: at.jars }];
        const amounts = amountsOfBatch({ ...batch, loads }, { measured: [{ amount }] })!;
        const made = amount / measuredPart(amounts.card)!.perBatch;
        const pot = amounts.loads[0]!.amounts;
        expect(pot.pots * pot.factor).toBeCloseTo(made, 6);
        for (const { line, all } of pot.lines) {
          const isAcid = ['vinegar', 'lemon', 'citric-acid'].includes(line.role) && line.then === 'jar';
          if (!isAcid || all.of === 'words' || line.amount.of === 'words' || !line.into || pot.covering) continue;
          expect(all.value + 1e-3).toBeGreaterThanOrEqual(endOf(line.role, line.amount) * made * (1 - 1e-6));
        }
      },
    ),
  );
});

// The National Center: strawberry jam, 5 1/2 cups crushed to a box, 9 to 10 half-pints.
test('whatever stays over of a box is the same part of every pick, never more than was taken, and is put cold as it was', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...MEASURED.filter(({ card }) => setsByTheBox(card))),
      fc.double({ min: 0.3, max: 3.4, noNaN: true }),
      fc.constantFrom('cool', 'counter', 'freezer', 'refrigerator'),
      ({ card, crop }, part, place) => {
        const batch = batchOf(card, crop, 1.2, [Math.floor(card.yields!.high)]);
        const { perBatch } = measuredPart(card)!;
        const at = atTheGate(batch, card, batch.loads, perBatch * part)!;
        if (at.gate.kind === 'wait') {
          expect([at.jars, at.left, part < 1]).toEqual([0, [], true]);
          return;
        }
        const mainKg = (uses: Batch['uses']) => massKgOf({ uses }, crop);
        const meantKg = (cropCard(card, crop)!.main.kgPerBatch * at.gate.left) / perBatch;
        expect(mainKg(at.left)).toBeCloseTo(at.left.length === 0 ? 0 : Math.min(meantKg, mainKg(batch.uses)), 6);
        if (at.left.length === 2) expect(at.left[0]!.massKg).toBeCloseTo(at.left[1]!.massKg, 9);
        const picks = [
          pick('p', crop, batch.uses[0]!.massKg + 1, { softKg: batch.uses[0]!.softKg, place }),
          pick('q', crop, batch.uses[1]!.massKg),
        ];
        const told = {
          id: 'e',
          day: 'd',
          at: 3 * HOUR,
          type: 'measured',
          batchId: 'b',
          taskId: 't',
          amount: 1,
        } as const;
        const events: DayEvent[] = [{ ...told, left: at.left }];
        const after = batchesNow([batch], events, [], AS_PLANNED);
        const changes = keptCold(at.left, picks, after, []).map((change, i) => ({
          ...change,
          id: `${i}`,
          at: 3 * HOUR,
        }));
        const inCold = onHand(picks, timedUses(after), changes).filter((lot) => lot.place === 'refrigerator');
        const cold = inCold.reduce((sum, { massKg }) => sum + massKg, 0);
        const stoodThere = place === 'refrigerator' ? 1 : 0;
        const left = mainKg(at.left);
        // Crumbs stay where they are.
        expect(cold - stoodThere).toBeGreaterThanOrEqual(left - 3 * 0.02 - 1e-6);
        expect(cold - stoodThere).toBeLessThanOrEqual(left + 1e-6);
        const all = onHand(picks, timedUses(after), changes).reduce((sum, { massKg }) => sum + massKg, 0);
        // What is left of a lot below 5 g is none.
        expect(Math.abs(all - 1 - left)).toBeLessThan(3 * 0.005);
      },
    ),
  );
});

test('two loads filled from one pot are measured once, each with its own pot by themselves', () => {
  const card = findCard('jam-with-pectin/strawberry')!;
  const onePot = batchOf(card, 'strawberry', 1, [7, 2]);
  const ids = (batch: Batch, of: string) => loadsOfGate(amountsOfBatch(batch)!, batch, of).map(({ id }) => id);
  expect(ids(onePot, 'load 0')).toEqual(['load 0', 'load 1']);
  const twoPots = batchOf(card, 'strawberry', 2, [9, 9]);
  expect([ids(twoPots, 'load 0'), ids(twoPots, 'load 1')]).toEqual([['load 0'], ['load 1']]);
  const at = atTheGate(onePot, card, onePot.loads, 5.5)!;
  expect([at.jars, jarsOf(onePot)]).toEqual([9, 9]);
});

test('too little takes what is missing from lots in the right state, and comes to one whole batch', () => {
  const card = findCard('jam-with-pectin/strawberry')!;
  const batch = batchOf(card, 'strawberry', 0.6, [9]);
  const { kgPerBatch } = cropCard(card, 'strawberry')!.main;
  const lots = onHand(
    [
      pick('r', 'strawberry', 0.2 * kgPerBatch),
      pick('s', 'strawberry', 9, { place: 'freezer' }),
      pick('t', 'apple', 5),
    ],
    [],
  );
  const more = moreForBatch(batch, 0.4, lots);
  expect(more.map(({ use, batches }) => [use.pickId, batches])).toEqual([
    ['r', expect.closeTo(0.2, 9)],
    ['s', expect.closeTo(0.4, 9)],
  ]);
  expect(more[1]!.use.massKg).toBeCloseTo(0.4 * kgPerBatch, 9);
  const green = batchOf(findCard('green-tomato-relish')!, 'tomato-slicing', 1, [7]);
  expect(moreForBatch(green, 1, onHand([pick('u', 'tomato-slicing', 5)], []))).toEqual([]);
});

// USDA Complete Guide, 2015, guide 7: jams and jellies, half-pints, 5 minutes up to 1,000 ft; never less than the table.
test('without a box the fruit’s own card is taken with its own tested time; what has none is not offered', () => {
  const berry = batchOf(findCard('jam-with-pectin/berry')!, 'blackberry', 1, [11]);
  expect(withoutPectin(berry, PAGES)).toMatchObject({ product: 'jam-no-pectin', recipe: 'jam-no-pectin/berry' });
  expect(withoutPectin(berry, PAGES)!.processMinutes).toBeGreaterThanOrEqual(5);
  expect(withoutPectin(batchOf(findCard('jam-no-pectin/berry')!, 'blackberry', 1, [4]), PAGES)).toBeUndefined();
  expect(withoutPectin({ ...berry, jar: 'quart' }, PAGES)).toBeUndefined();
  // Jars in a canner are what they are.
  expect(withoutPectin(berry, PAGES, new Set(['load 0']))).toBeUndefined();
});

test('a leaflet’s own jam that comes out short has the fruit’s tested card without a box for a way out', () => {
  const id = '0198f3a0-0000-7000-8000-0000000000e3';
  const { processing: _, ...read } = readRecipe(
    'Leaflet jam\n5 cups crushed blackberries\n7 cups sugar\n1 box powdered pectin\nMethod\nWash the berries.\nCrush the berries and measure.\nStir in the pectin.\nBring to a full rolling boil.\nAdd the sugar.\nBoil hard for 1 minute.\nFill into half-pint jars.\nMakes 8 half-pints',
  );
  const lines = read.lines.map(({ open: __, ...line }) => line);
  layOwnPages(ownPagesOf([{ ...read, lines, id, revision: 1, draft: false }]));
  try {
    const batch = batchOf(findCard(ownCardId(id, 1))!, 'blackberry', 0.8, [8]);
    expect(withoutPectin(batch, PAGES)).toMatchObject({ product: 'jam-no-pectin', recipe: 'jam-no-pectin/berry' });
    // Kept cold it needs no tested time, and none is looked up.
    expect(withoutPectin({ ...batch, method: 'refrigerator' }, PAGES)).toBeUndefined();
  } finally {
    layOwnPages(NO_OWN_PAGES);
  }
});
