import { BOILING_WATER } from './boilingWater';
import { CROP_IDS, CROP_NAMES } from './crops';
import { JAR_SIZES, JARS } from './jars';
import { PRESSURE } from './pressure';
import { findProduce, PRODUCE, produceRow } from './produce';
import { PRODUCTS } from './products';
import { QUANTITIES } from './quantity';
import { CARDS, cardsOf } from './cards';
import { stepOf } from './steps';
import { SYRUPS } from './syrup';
import { packsOf, usualPack } from './usualPack';

test('the tables join: every product has tested rows, a known crop, and steps that exist', () => {
  for (const product of PRODUCTS) {
    expect(packsOf(product)).toContain(usualPack(product));
    for (const crop of product.crops.flat()) expect(CROP_NAMES[crop]).toBeDefined();
    for (const entry of product.sequence) expect(stepOf(entry).words).not.toMatch(/\bN\b/);
    expect(QUANTITIES.some((row) => row.product === product.product)).toBe(product.hasQuantity);
  }
  const made = new Set<string>([
    ...PRODUCTS.flatMap(({ crops }) => crops.flat()),
    ...CARDS.flatMap(({ ingredients }) => ingredients.flatMap(({ crops }) => crops)),
  ]);
  expect(CROP_IDS.filter((crop) => !made.has(crop))).toEqual([]);
});

// Cards of low confidence are kept, and never offered: a squash variation that follows from another page, and one jam.
test('a card of low confidence is not offered', () => {
  const low = CARDS.filter(({ confidence }) => confidence === 'low').map(({ card }) => card);
  expect(low).toEqual(['zucchini-bread-and-butter/squash-variation', 'jam-with-pectin/sour-cherry']);
  expect(cardsOf('zucchini-bread-and-butter').map(({ card }) => card)).toEqual([
    'zucchini-bread-and-butter/own-formula',
  ]);
});

test('no row is shorter at a higher band, nor for a larger jar of the same food and pack', () => {
  const volume = (jars: readonly (keyof typeof JARS)[]) => Math.max(...jars.map((jar) => JARS[jar].nominalFlOz));
  for (const row of BOILING_WATER) {
    expect([...row.minutes].sort((a, b) => a - b)).toEqual(row.minutes);
    for (const other of BOILING_WATER) {
      const samePack = other.packs.some((pack) => row.packs.includes(pack));
      if (other.process !== row.process || !samePack || volume(other.jars) <= volume(row.jars)) continue;
      for (const [band, minutes] of row.minutes.entries()) expect(other.minutes[band]).toBeGreaterThanOrEqual(minutes);
    }
  }
  for (const { dialPsi, weightedPsi } of PRESSURE) {
    const psi = dialPsi.filter((value) => value !== null);
    expect([...psi].sort((a, b) => a - b)).toEqual(psi);
    if (weightedPsi[0] !== null && weightedPsi[1] !== null) expect(weightedPsi[1]).toBeGreaterThan(weightedPsi[0]);
  }
});

// USDA Complete Guide to Home Canning, 2015, guides 2, 3 and 4: both numbers of a load say the same within a quarter.
test('pounds for 7 quarts and for 9 pints agree, and lie within reach of what a container yields', () => {
  for (const { lbPer7Quarts, lbPer9Pints, container, lbPerQuart } of QUANTITIES) {
    if (lbPer7Quarts === undefined || lbPer9Pints === undefined) continue;
    const perQuart = lbPer7Quarts / 7;
    expect(Math.abs(Math.log(perQuart / ((lbPer9Pints * 2) / 9)))).toBeLessThan(Math.log(1.25));
    expect(Math.abs(Math.log(perQuart / (lbPerQuart ?? perQuart)))).toBeLessThan(Math.log(1.25));
    if (!container) continue;
    expect(perQuart).toBeGreaterThan((0.7 * container.lb) / container.quarts[1]);
    expect(perQuart).toBeLessThan((1.3 * container.lb) / container.quarts[0]);
  }
});

// A cup of sugar weighs 7 oz and a cup of water 8.35 oz (common practice): the published cups are near their percentage.
test('the cups of each syrup are within 5 points of the sugar they are named for', () => {
  for (const row of SYRUPS) {
    for (const [water, sugar] of [
      [row.waterCupsPer7Quarts, row.sugarCupsPer7Quarts],
      [row.waterCupsPer9Pints, row.sugarCupsPer9Pints],
    ] as const) {
      const percent = (100 * sugar * 7) / (sugar * 7 + water * 8.35);
      expect(Math.abs(percent - row.percentSugar)).toBeLessThan(5);
    }
  }
});

test('jars are listed from small to large, and produce never keeps shorter in a colder place that is for it', () => {
  const ounces = JAR_SIZES.map((size) => JARS[size].nominalFlOz);
  expect([...ounces].sort((a, b) => a - b)).toEqual(ounces);
  for (const { keepsDays } of PRODUCE) {
    const { counter, cool = counter, refrigerator = cool } = keepsDays;
    expect(counter <= cool && cool <= refrigerator).toBe(true);
  }
});

test('what the handbook does not have is undefined where it may be asked, and a mistake where it is known', () => {
  expect(findProduce('moon-cheese')).toBeUndefined();
  expect(() => produceRow('moon-cheese')).toThrow(RangeError);
  for (const entry of ['fly', 'boil', 'boil-N', 'salt-ice-Nh']) expect(() => stepOf(entry)).toThrow(RangeError);
  expect(stepOf('salt-ice-3h')).toMatchObject({ waitMinutes: [180, 240], words: 'Salt and ice 3 h' });
});
