import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { Bench } from 'tinybench';
import { CARDS } from '../src/handbook/cards';
import { JAR_SIZES } from '../src/handbook/jars';
import { PRODUCTS } from '../src/handbook/products';
import { searchProducts } from '../src/handbook/searchProducts';
import { findProcess } from '../src/process/findProcess';
import { METHODS } from '../src/process/method';
import { searchNever } from '../src/process/neverOnShelf';
import { lineWords } from '../src/recipe/cardWords';
import { readIngredientLine } from '../src/recipe/ingredientLine';
import { machineWords, say } from './report';

/** What a look-up and a search may take, so that a screen follows every key: one frame at 60 a second is 16 ms. */
const LOOK_UP_BUDGET_MS = 0.05;
const SEARCH_BUDGET_MS = 16;
/** A hundred lines of a written batch, each read anew. */
const READ_BUDGET_MS = 5;

const SEED = 20_260_829;
const random = xoroshiro128plus(SEED);
const oneOf = <T>(list: readonly T[]): T => list[uniformInt(random, 0, list.length - 1)] as T;

const questions = Array.from({ length: 4_096 }, () => ({
  product: oneOf(PRODUCTS).product,
  pack: oneOf(['hot', 'raw']),
  jar: oneOf(JAR_SIZES),
  method: oneOf(METHODS),
  altitudeFt: uniformInt(random, 0, 12_000),
}));
/** Lines of all cards, as printed and in other spellings: a hundred of them. */
const SPELT: readonly (readonly [RegExp, string])[] = [
  [/cups?/, 'c.'],
  [/1\/2/, '½'],
  [/lb/, 'pounds'],
  [/quarts?/, 'litres'],
  [/Tbsp/, 'tablespoons'],
];
const LINES = CARDS.flatMap(({ ingredients }) => ingredients)
  .slice(0, 100)
  .map((line, i) => {
    const [from, to] = SPELT[i % SPELT.length] ?? [/$/, ''];
    return lineWords(line).replace(from, to);
  });
const names = PRODUCTS.flatMap(({ name, otherNames }) => [name, ...otherNames]);
/** Names as they are typed: cut anywhere, one in three with a letter amiss. */
const typed = Array.from({ length: 1_024 }, () => {
  const name = oneOf(names);
  const cut = name.slice(0, uniformInt(random, 1, name.length));
  const at = uniformInt(random, 0, cut.length - 1);
  return uniformInt(random, 0, 2) === 0 ? `${cut.slice(0, at)}x${cut.slice(at + 1)}` : cut;
});

let turn = 0;
const nextOf = <T>(list: readonly T[]): T => list[turn++ % list.length] as T;
const bench = new Bench({ time: 1_000, warmupTime: 300 });
bench.add('findProcess, any product, pack, jar, method, altitude', () => {
  findProcess(nextOf(questions));
});
bench.add('search over all names, tested and never', () => {
  const text = nextOf(typed);
  searchProducts(text);
  searchNever(text);
});
bench.add(`reading ${LINES.length} ingredient lines as cooks write them`, () => {
  // Never the same words twice: what was read before is remembered.
  turn += 1;
  for (const line of LINES) readIngredientLine(`${line}, kind ${turn.toString(36)}x`);
});
await bench.run();

const budgets = [LOOK_UP_BUDGET_MS, SEARCH_BUDGET_MS, READ_BUDGET_MS];
say(machineWords(SEED));
for (const [n, { name, result }] of bench.tasks.entries()) {
  if (result.state !== 'completed') throw new Error(`${name}: ${result.state}`);
  const { mean, p99, max } = result.latency;
  const budget = budgets[n] ?? NaN;
  const micro = (ms: number) => `${(ms * 1_000).toFixed(1)} us`;
  say(
    `${name}: mean ${micro(mean)}, p99 ${micro(p99)}, longest ${micro(max)}; ${(mean / budget).toFixed(3)} of the ${micro(budget)} allowed`,
  );
}
