import fc from 'fast-check';
import { CARDS, isOffered } from '../handbook/cards';
import { findProduce } from '../handbook/produce';
import { type Lot } from '../harvest/onHand';
import { mainLine, measuredPart } from '../recipe/cardCrops';
import { setsByTheBox } from '../recipe/pots';
import { cardForCrop } from '../yields/cardForCrop';
import { estimateJars } from '../yields/estimateJars';
import { amountsOfBatch } from './amountsOfBatch';
import { type Batch, nameOf } from './batch';
import { laterForRecipe, takeForRecipe } from './takeForRecipe';

const KG_PER_LB = 0.453_592_37;
const DAY = 24 * 60 * 60_000;

function lot(crop: Lot['crop'], lb: number, more: Partial<Lot> = {}): Lot {
  return {
    ...{ pickId: `${crop} pick`, part: 'sound', place: 'cool', ripeness: 'ripe', until: 3 * DAY },
    crop,
    massKg: lb * KG_PER_LB,
    ...more,
  } as Lot;
}

/** A batch of a card as a household has it: of its main crop, in the jar of its page, in any loads. */
const anyBatch = fc
  .record({
    card: fc.constantFrom(
      ...CARDS.filter(isOffered).flatMap((card) => {
        const crop = mainLine(card)?.crops.flatMap((each) => findProduce(each)?.crop ?? [])[0];
        return crop && card.yields && cardForCrop(card.product, crop)?.card === card
          ? [{ card, crop, jar: card.yields.jar }]
          : [];
      }),
    ),
    loads: fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 1, maxLength: 4 }),
  })
  .map(({ card: { card, crop, jar }, loads }) => {
    const jars = loads.reduce((sum, each) => sum + each, 0);
    const green = cardForCrop(card.product, crop)?.green;
    const lots = [lot(crop, 10_000, { ripeness: green ? 'green' : 'ripe' })];
    const { uses, mainKg } = takeForRecipe({ product: card.product, crop, jar, jars, mainLots: lots, lots });
    const batch: Batch = {
      ...{ id: 'b', product: card.product, recipe: card.card, jar, pack: 'hot', method: 'boiling-water' },
      ...{ altitudeFt: 0, processMinutes: 10, cannerId: 'c', startAt: 0, uses },
      loads: loads.map((each, i) => ({ id: `load ${i}`, number: i + 1, jars: each })),
    };
    return { card, batch, jars, mainKg };
  });

const valueOf = (measure: { of: string } | undefined) =>
  measure && measure.of !== 'words' ? (measure as unknown as { value: number }).value : 0;

test('what the loads take by step adds up to what is bought for the batch, line by line', () => {
  fc.assert(
    fc.property(anyBatch, ({ batch }) => {
      const amounts = amountsOfBatch(batch)!;
      expect(amounts.loads.map(({ loadId }) => loadId)).toEqual(batch.loads.map(({ id }) => id));
      expect(amounts.pots).toBe(amounts.loads.reduce((sum, load) => sum + load.amounts.pots, 0));
      for (const [i, line] of amounts.lines.entries()) {
        const inLoads = amounts.loads.reduce((sum, load) => sum + valueOf(load.amounts.lines[i]!.all), 0);
        expect([line.line.item, valueOf(line.all)]).toEqual([line.line.item, expect.closeTo(inLoads, 6)]);
      }
    }),
  );
});

test('pectin is in whole boxes, no more pots than the jars need, and of the fruit no more is set apart than they take', () => {
  fc.assert(
    fc.property(anyBatch, ({ card, batch, jars, mainKg }) => {
      const { pots, lines } = amountsOfBatch(batch)!;
      if (!setsByTheBox(card)) return;
      const most = card.yields!.high;
      expect(pots).toBe(Math.ceil(jars / most - 1e-9));
      for (const { line, all } of lines.filter((each) => each.line.role === 'pectin')) {
        expect([line.item, valueOf(all) % 1]).toEqual([line.item, 0]);
      }
      const crop = batch.uses[0]!.crop!;
      const trimmed = cardForCrop(card.product, crop)!;
      // A kitchen that trims a good deal has a quarter more to pick.
      expect(mainKg).toBeLessThanOrEqual(pots * trimmed.main.kgPerBatch * 1.35);
    }),
  );
});

// USDA Complete Guide to Home Canning, 2015, guide 3: tomato and chile salsa, 5 lb tomatoes, 2 lb chiles, 1 lb onions.
test('all crops of a card are found among the lots, in its proportions, and what is not there is missing', () => {
  const tomatoes = lot('tomato-slicing', 5);
  const there = [tomatoes, lot('pepper-hot', 30), lot('onion', 0.5)];
  const wish = {
    product: 'tomato-chile-salsa',
    crop: 'tomato-slicing',
    jar: 'pint',
    jars: 7,
    mainLots: [tomatoes],
  } as const;
  const { uses, missing, mainKg } = takeForRecipe({ ...wish, lots: there });
  const lbOf = (crop: string) => (uses.find((use) => use.crop === crop)?.massKg ?? 0) / KG_PER_LB;
  expect(mainKg).toBeLessThanOrEqual(5.001 * KG_PER_LB);
  expect(lbOf('pepper-hot')).toBeCloseTo((lbOf('tomato-slicing') * 2) / 5, 6);
  expect(lbOf('onion')).toBeCloseTo(0.5, 6);
  expect(missing).toMatchObject([{ crop: 'onion', stops: false }]);
  const none = takeForRecipe({ ...wish, lots: [tomatoes] });
  expect(none.missing.map(({ crop }) => crop).sort()).toEqual(['onion', 'pepper-hot']);
  const batch = { id: 'b', product: 'tomato-chile-salsa', jar: 'pint', pack: 'hot', method: 'boiling-water' } as const;
  const more = {
    altitudeFt: 0,
    processMinutes: 15,
    cannerId: 'c',
    startAt: 0,
    loads: [{ id: 'l', number: 1, jars: 7 }],
  };
  const short = amountsOfBatch({ ...batch, ...more, uses })!;
  const acid = short.lines.find(({ line }) => line.role === 'vinegar')!;
  // 1 cup of vinegar to 5 lb of tomatoes stands, however few onions there are.
  expect(valueOf(acid.all) / 236.588).toBeGreaterThanOrEqual(lbOf('tomato-slicing') / 5 - 1e-3);
  expect(valueOf(short.lines.find(({ line }) => line.crops.includes('onion'))!.all)).toBeLessThanOrEqual(
    0.5 * KG_PER_LB + 1e-9,
  );
});

test('what came in after the plan is taken up to what the card wants, and then no more', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.1, max: 12, noNaN: true }),
      fc.double({ min: 0.1, max: 12, noNaN: true }),
      (first, since) => {
        const tomatoes = lot('tomato-slicing', 5);
        const wish = { product: 'tomato-chile-salsa', crop: 'tomato-slicing', jar: 'pint', jars: 7 } as const;
        const early = [tomatoes, lot('pepper-hot', 2), lot('onion', first / 10)];
        const { uses } = takeForRecipe({ ...wish, mainLots: [tomatoes], lots: early });
        const batch = { ...wish, id: 'b', pack: 'hot', uses, loads: [] } as unknown as Batch;
        const later = laterForRecipe(batch, [lot('onion', since, { pickId: 'since' })]);
        const mainKg = uses.find(({ crop }) => crop === 'tomato-slicing')!.massKg;
        const onionKg = [...uses, ...later].reduce((sum, use) => sum + (use.crop === 'onion' ? use.massKg : 0), 0);
        // 1 lb of onions to 5 lb of tomatoes.
        expect(onionKg).toBeLessThanOrEqual(mainKg / 5 + 0.01);
        const there = (first / 10 + since) * KG_PER_LB;
        expect(onionKg).toBeGreaterThanOrEqual(Math.min(mainKg / 5, there) - 0.011);
        expect(later.every(({ crop }) => crop === 'onion')).toBe(true);
        expect(laterForRecipe({ ...batch, uses: [...uses, ...later] }, []).length).toBe(0);
      },
    ),
  );
});

test('green tomatoes are green ones: ripe ones are never taken for them, nor green ones for anything else', () => {
  const ripe = lot('tomato-slicing', 40);
  const green = lot('tomato-slicing', 40, { ripeness: 'green', pickId: 'green pick' });
  const taken = (product: 'green-tomato-relish' | 'tomato-chile-salsa') =>
    takeForRecipe({
      product,
      crop: 'tomato-slicing',
      jar: 'pint',
      jars: 7,
      mainLots: [ripe, green],
      lots: [ripe, green],
    });
  const ids = (of: ReturnType<typeof taken>) =>
    of.uses.filter(({ crop }) => crop === 'tomato-slicing').map(({ pickId }) => pickId);
  expect(ids(taken('green-tomato-relish'))).toEqual(['green pick']);
  expect(ids(taken('tomato-chile-salsa'))).toEqual(['tomato-slicing pick']);
});

// The National Center: 3 1/2 quarts of blackberries, one published batch of syrup or jelly; a batch has jars.
test('one exact published batch is not nothing, and a batch is called what it is', () => {
  fc.assert(
    fc.property(anyBatch, ({ card, batch }) => {
      const crop = batch.uses[0]!.crop!;
      const { kgPerBatch } = cardForCrop(card.product, crop)!.main;
      const made = estimateJars(crop, kgPerBatch, card.product, batch.jar);
      expect([card.card, made.kind === 'estimate' && made.jars.p50 > 0]).toEqual([card.card, true]);
      if (/^(jam|jelly)/.test(card.product)) expect(nameOf(batch)).toMatch(/ (jam|jelly)$/);
    }),
  );
});

test('what was measured for some loads is shared among them by their jars, and the others keep what they had', () => {
  const measuredCards = anyBatch.filter(({ card }) => measuredPart(card) !== undefined && !setsByTheBox(card));
  fc.assert(
    fc.property(measuredCards, fc.double({ min: 0.3, max: 4, noNaN: true }), fc.nat(), ({ batch }, part, seed) => {
      const before = amountsOfBatch(batch)!;
      const { perBatch } = measuredPart(before.card)!;
      const chosen = batch.loads.filter((_, i) => ((seed >> i) & 1) === 1);
      if (chosen.length === 0) return;
      const ids = chosen.map(({ id }) => id);
      const after = amountsOfBatch(batch, { measured: [{ loadIds: ids, amount: part * perBatch }] })!;
      const madeOf = ({ loads }: typeof after, own: boolean) =>
        loads.filter(({ loadId }) => ids.includes(loadId) === own).map(({ amounts }) => amounts.pots * amounts.factor);
      expect(madeOf(after, true).reduce((sum, each) => sum + each, 0)).toBeCloseTo(part, 6);
      expect(madeOf(after, false)).toEqual(madeOf(before, false));
      const jarsOf = (id: string) => batch.loads.find((load) => load.id === id)!.jars;
      const perJar = madeOf(after, true).map((made, i) => made / jarsOf(ids[i]!));
      for (const each of perJar) expect(each).toBeCloseTo(perJar[0]!, 9);
      // Measured again, the last measure holds.
      const again = amountsOfBatch(batch, {
        measured: [
          { loadIds: ids, amount: 7 * perBatch },
          { loadIds: ids, amount: part * perBatch },
        ],
      })!;
      expect(madeOf(again, true)).toEqual(madeOf(after, true));
    }),
  );
});
