import { Bench } from 'tinybench';
import { JAR_SIZES } from '../src/handbook/jars';
import { type ProduceId } from '../src/handbook/produce';
import { divideLots } from '../src/harvest/divideLots';
import { type Lot } from '../src/harvest/onHand';
import { KG_PER_LB } from '../src/measure/amount';
import { type BatchRecord, lbPerQuartOf, quartsOf } from '../src/yields/batchRecord';
import { estimateJars, productsFrom } from '../src/yields/estimateJars';
import { learnYields } from '../src/yields/yieldModel';
import { yieldRange } from '../src/yields/yieldRange';
import { chanceFrom } from './chance';
import { machineWords, say } from './report';
import { CROPS_MADE, type Far, simulateKitchen } from './simulatedKitchen';

const SEED = 20_260_829;
const BATCHES = 5_000;
const DAY_MS = 24 * 60 * 60_000;
const NOW = Date.UTC(2026, 7, 29);

const percent = (part: number) => `${(part * 100).toFixed(1)} %`;
const median = (values: readonly number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? NaN;
const verdict = (reached: boolean) => (reached ? 'reached' : 'missed');

/** How far the likely figure was from what came, on the log scale. */
function errorOf(record: BatchRecord, records: readonly BatchRecord[]): number {
  const told = yieldRange(record.product, record.crop, learnYields(records, record.madeAt));
  return Math.abs(Math.log((lbPerQuartOf(record) ?? NaN) / (told?.lbPerQuart.p50 ?? NaN)));
}

say(machineWords(SEED));
for (const far of ['household', 'crop'] as const) {
  coverage(far);
  learning(far);
}
neighbours();
division();
await speed();

/** Kitchens over a season: each batch is estimated from those before it. */
function coverage(far: Far): void {
  const chance = chanceFrom(SEED);
  const held = { ratio: 0, jars: 0, first: 0, later: 0 };
  const count = { all: 0, first: 0, later: 0 };
  while (count.all < BATCHES) {
    const kitchen = simulateKitchen(chance, far);
    const records: BatchRecord[] = [];
    const crops = Array.from({ length: 3 }, () => chance.oneOf(CROPS_MADE));
    for (let n = 0; n < 10 && count.all < BATCHES; n++) {
      const record = kitchen.make(chance.oneOf(crops), NOW - (10 - n) * 45 * DAY_MS);
      const learned = learnYields(records, record.madeAt);
      const { lbPerQuart } = yieldRange(record.product, record.crop, learned) ?? { lbPerQuart: { p10: 0, p90: 0 } };
      const ratio = lbPerQuartOf(record) ?? NaN;
      const isHeld = lbPerQuart.p10 <= ratio && ratio <= lbPerQuart.p90;
      const estimate = estimateJars(record.crop, record.massKg, record.product, 'quart', learned);
      const full = Math.floor(quartsOf(record));
      if (estimate.kind === 'estimate' && estimate.jars.p10 <= full && full <= estimate.jars.p90) held.jars += 1;
      const when = n === 0 ? 'first' : 'later';
      held.ratio += Number(isHeld);
      held[when] += Number(isHeld);
      count.all += 1;
      count[when] += 1;
      records.push(record);
    }
  }
  const part = held.ratio / count.all;
  say(
    `yields, ${count.all} simulated batches, one ${far} in ten far off: the 8 in 10 of pounds a quart hold ${percent(part)}, 77 to 83 asked: ` +
      `${verdict(part >= 0.77 && part <= 0.83)}; first batches ${percent(held.first / count.first)}, later ${percent(held.later / count.later)}; ` +
      `in whole jars ${percent(held.jars / count.all)}`,
  );
}

/** Error of the next batch after so many of the same crop, against the handbook alone. */
function learning(far: Far): void {
  const kitchens = 800;
  const after = new Map<number, number[]>([0, 1, 2, 3, 5, 10].map((batches) => [batches, []]));
  const handbook: number[] = [];
  const newProduct = { told: [] as number[], handbook: [] as number[] };
  const chance = chanceFrom(SEED + 1);
  for (let k = 0; k < kitchens; k++) {
    const kitchen = simulateKitchen(chance, far);
    const crop = chance.oneOf(CROPS_MADE);
    const product = chance.oneOf(kitchen.productsOf(crop));
    const records = Array.from({ length: 10 }, (_, n) =>
      kitchen.make(crop, NOW - (10 - n) * 20 * DAY_MS, { only: product }),
    );
    const next = kitchen.make(crop, NOW, { only: product });
    handbook.push(errorOf(next, []));
    for (const [batches, errors] of after) errors.push(errorOf(next, batches === 0 ? [] : records.slice(-batches)));
    const other = kitchen.productsOf(crop).find((each) => each !== product);
    if (!other) continue;
    const first = kitchen.make(crop, NOW, { only: other });
    newProduct.told.push(errorOf(first, records.slice(-3)));
    newProduct.handbook.push(errorOf(first, []));
  }
  const base = median(handbook);
  const ratios = [...after].map(([batches, errors]) => `after ${batches}: ${(median(errors) / base).toFixed(2)}`);
  const at = (batches: number) => median(after.get(batches) ?? []) / base;
  say(
    `yields, ${kitchens} kitchens: median error of the next batch against the handbook's ${percent(base)}: ${ratios.join(', ')}; ` +
      `asked 1 or less, under 1 after one, 0.5 after five: ${verdict(at(0) <= 1 + 1e-9 && at(1) < 1 && at(5) <= 0.5)}`,
  );
  const isBetter = median(newProduct.told) < median(newProduct.handbook);
  say(
    `  a product not made yet of a crop with 3 batches: ${percent(median(newProduct.told))} against the handbook's ${percent(median(newProduct.handbook))}: ${verdict(isBetter)}`,
  );
}

/**
 * Kitchens where one recipe takes 60 % more, or 60 % less, than its page: how far that moves the other recipes of its crop,
 * against the same kitchen without those batches.
 */
function neighbours(): void {
  const kitchens = 400;
  const chance = chanceFrom(SEED + 3);
  for (const off of [Math.log(1.6), Math.log(0.4)]) {
    for (const known of [0, 1, 2, 3]) {
      const moved: number[] = [];
      const wider: number[] = [];
      for (let k = 0; k < kitchens; k++) {
        const kitchen = simulateKitchen(chance, 'crop', { mayBeFar: false });
        const crop = chance.oneOf(CROPS_MADE.filter((each) => kitchen.productsOf(each).length > 1));
        const odd = chance.oneOf(kitchen.productsOf(crop));
        const other = chance.oneOf(kitchen.productsOf(crop).filter((each) => each !== odd));
        const own = Array.from({ length: known }, () => kitchen.make(crop, NOW - 60 * DAY_MS, { only: other }));
        const far = Array.from({ length: 1 + Math.floor(chance.uniform(0, 3)) }, () => {
          const record = kitchen.make(crop, NOW - 20 * DAY_MS, { only: odd });
          return { ...record, massKg: record.massKg * Math.exp(off) };
        });
        const rangeOf = (records: readonly BatchRecord[]) =>
          yieldRange(other, crop, learnYields(records, NOW))?.lbPerQuart ?? { p10: NaN, p50: NaN, p90: NaN };
        const [without, told] = [rangeOf(own), rangeOf([...own, ...far])];
        moved.push(Math.abs(Math.log(told.p50 / without.p50)));
        wider.push(Math.log(told.p90 / told.p10) / Math.log(without.p90 / without.p10));
      }
      const at = (part: number) => [...moved].sort((a, b) => a - b)[Math.floor(part * moved.length)] ?? NaN;
      const allowed = known >= 2 ? 0.03 : 0.1;
      say(
        `  one recipe takes ${percent(Math.exp(off))} of its page, ${known} batches of another of that crop on record: that one moves ${percent(at(0.5))}, nine in ten at most ${percent(at(0.9))}, at most ${percent(Math.max(...moved))}; ` +
          `${percent(allowed)} asked of the middle: ${verdict(at(0.5) <= allowed)}, of nine in ten: ${verdict(at(0.9) <= allowed)}; its range is ${median(wider).toFixed(2)} times as wide`,
      );
    }
  }
}

/** A lot divided among up to five products in a kitchen with some history: the quarts of each part against what came. */
function division(): void {
  const chance = chanceFrom(SEED + 4);
  const held = { first: 0, later: 0 };
  const count = { first: 0, later: 0 };
  let parts = 0;
  for (let lot = 0; lot < 1_500; lot++) {
    const kitchen = simulateKitchen(chance, 'crop');
    // Crops that many products are made of; the same product twice in one division is made in two pots.
    const crop = chance.oneOf(CROPS_MADE.filter((each) => kitchen.productsOf(each).length > 1));
    const history = Math.floor(chance.uniform(0, 6));
    const records = Array.from({ length: history }, (_, n) => kitchen.make(crop, NOW - (10 - n) * 30 * DAY_MS));
    const learned = learnYields(records, NOW);
    const made = Array.from({ length: 5 }, () => kitchen.make(crop, NOW));
    const lots = made.map(({ massKg }, i) => lotOf(crop, massKg, i));
    const { parts: divided, shortKg } = divideLots(lots, made);
    if (shortKg > 1e-6) throw new Error(`${shortKg} kg short of a lot that has all of it`);
    for (const [i, record] of made.entries()) {
      const massKg = divided[i]?.massKg ?? NaN;
      const estimate = estimateJars(crop, massKg, record.product, 'quart', learned);
      if (estimate.kind === 'refusal') throw new Error(estimate.reason);
      const quarts = massKg / KG_PER_LB / (lbPerQuartOf(record) ?? NaN);
      const when = history === 0 ? 'first' : 'later';
      held[when] += Number(estimate.quarts.p10 <= quarts && quarts <= estimate.quarts.p90);
      count[when] += 1;
      parts += 1;
    }
  }
  const part = (held.first + held.later) / parts;
  say(
    `division, ${parts} parts of 1500 lots, five each: the 8 in 10 of a part's quarts hold ${percent(part)}, 77 to 83 asked: ` +
      `${verdict(part >= 0.77 && part <= 0.83)}; without a batch on record ${percent(held.first / count.first)}, with some ${percent(held.later / count.later)}`,
  );
}

function lotOf(crop: ProduceId, massKg: number, i: number): Lot {
  const place = { place: 'cool', since: 0, keepsDays: 7, until: i, thawed: false } as const;
  return { pickId: `pick ${i}`, crop, part: 'sound', ripeness: 'ripe', massKg, ...place };
}

/** All products of ten lots in every jar, after a long history. */
async function speed(): Promise<void> {
  const chance = chanceFrom(SEED + 2);
  const kitchen = simulateKitchen(chance);
  const records = Array.from({ length: 60 }, (_, n) => kitchen.make(chance.oneOf(CROPS_MADE), NOW - n * 12 * DAY_MS));
  const lots = CROPS_MADE.slice(0, 10).map((crop) => ({ crop, massKg: chance.uniform(5, 40) * KG_PER_LB }));
  let learned = learnYields(records, NOW);
  const all = (each: readonly { crop: ProduceId; massKg: number }[]) => {
    for (const { crop, massKg } of each)
      for (const { product } of productsFrom(crop))
        for (const jar of JAR_SIZES) estimateJars(crop, massKg, product, jar, learned);
  };
  const bench = new Bench({ time: 1_000, warmupTime: 300 });
  bench.add('all products of 10 lots in every jar', () => {
    all(lots);
  });
  bench.add('the same after learning anew from 60 batches, once for each new batch', () => {
    learned = learnYields(records, NOW);
    all(lots);
  });
  await bench.run();
  for (const [n, { name, result }] of bench.tasks.entries()) {
    if (result.state !== 'completed') throw new Error(`${name}: ${result.state}`);
    const { mean, p99 } = result.latency;
    const asked = n === 0 ? `; ${(mean / 10).toFixed(3)} of the 10 ms allowed: ${verdict(mean <= 10)}` : '';
    say(`${name}: mean ${mean.toFixed(2)} ms, p99 ${p99.toFixed(2)} ms${asked}`);
  }
}
