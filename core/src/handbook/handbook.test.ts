import { altitudeBand } from '../process/altitudeBand';
import { findTestedRow } from '../process/findProcess';
import { BOILING_WATER } from './boilingWater';
import { CROPS, cropRow, findCrop } from './crops';
import { JAR_SIZES, JARS } from './jars';
import { PRODUCTS } from './products';
import { QUANTITIES } from './quantity';
import { stepOf } from './steps';
import { SYRUPS } from './syrup';

test('every product has tested rows, published quantities, known crops and steps that exist', () => {
  for (const product of PRODUCTS) {
    for (const jar of ['pint', 'quart'] as const) {
      expect(findTestedRow({ product: product.product, pack: product.pack, jar, method: 'boiling-water' }).kind).toBe(
        'testedRow',
      );
    }
    expect(QUANTITIES.filter((row) => row.product === product.product)).toHaveLength(1);
    expect(product.crops.map(findCrop)).not.toContain(undefined);
    expect(product.sequence.map((entry) => stepOf(entry).words).every((words) => words.length > 0)).toBe(true);
  }
});

test('no row is shorter at a higher band, and none for a larger jar of the same food', () => {
  for (const row of BOILING_WATER) {
    expect([...row.minutes].sort((a, b) => a - b)).toEqual(row.minutes);
    const quart = BOILING_WATER.find((other) => other.process === row.process && other.jar === 'quart')!;
    for (const [band, minutes] of row.minutes.entries()) expect(quart.minutes[band]).toBeGreaterThanOrEqual(minutes);
  }
});

// USDA Complete Guide to Home Canning, 2015, guides 2 and 3: both numbers of a load say the same within a fifth.
test('pounds for 7 quarts and for 9 pints agree, and lie within reach of what a bushel yields', () => {
  for (const row of QUANTITIES) {
    const perQuart = row.lbPer7Quarts / 7;
    expect(Math.abs(Math.log(perQuart / ((row.lbPer9Pints * 2) / 9)))).toBeLessThan(Math.log(1.2));
    expect(perQuart).toBeGreaterThan((0.8 * row.bushelLb) / row.bushelQuarts[1]);
    expect(perQuart).toBeLessThan((1.2 * row.bushelLb) / row.bushelQuarts[0]);
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

test('jars are listed from small to large, and produce never keeps shorter in a colder place', () => {
  const ounces = JAR_SIZES.map((size) => JARS[size].nominalFlOz);
  expect([...ounces].sort((a, b) => a - b)).toEqual(ounces);
  for (const { keepsDays } of CROPS) {
    expect(keepsDays.counter <= keepsDays.cool && keepsDays.cool <= keepsDays.refrigerator).toBe(true);
  }
});

test('what the handbook does not have is undefined where it may be asked, and a mistake where it is known', () => {
  expect(findCrop('moon-cheese')).toBeUndefined();
  expect(() => cropRow('moon-cheese')).toThrow(RangeError);
  expect(() => stepOf('fly')).toThrow(RangeError);
  expect(() => stepOf('boil')).toThrow(RangeError);
  expect(() => altitudeBand(-1)).toThrow(RangeError);
});
