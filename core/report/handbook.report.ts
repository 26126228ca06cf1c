import { BOILING_WATER } from '../src/handbook/boilingWater';
import { CANNERS } from '../src/handbook/canners';
import { FORMS } from '../src/handbook/forms';
import { JAR_ROWS, JAR_SIZES } from '../src/handbook/jars';
import { PRESSURE } from '../src/handbook/pressure';
import { PRODUCE } from '../src/handbook/produce';
import { PRODUCTS } from '../src/handbook/products';
import { QUANTITIES } from '../src/handbook/quantity';
import { CARDS, hasSureCard } from '../src/handbook/cards';
import { STEPS } from '../src/handbook/steps';
import { SYRUPS } from '../src/handbook/syrup';
import { ALTITUDE_BANDS, DIAL_BANDS, WEIGHTED_BANDS } from '../src/process/altitudeBand';
import { findProcess } from '../src/process/findProcess';
import { METHODS } from '../src/process/method';
import { NEVER_ON_SHELF } from '../src/process/neverOnShelf';

const out = (line = '') => process.stdout.write(`${line}\n`);

/** One altitude in every band of every method: what all kitchens together may be told. */
const ALTITUDES = [
  ...new Set([...ALTITUDE_BANDS, ...DIAL_BANDS, ...WEIGHTED_BANDS].map(({ upToFt }) => Math.min(upToFt, 12_000))),
].sort((a, b) => a - b);

out('Rows');
for (const [name, rows] of Object.entries({
  products: PRODUCTS,
  'boiling water': BOILING_WATER,
  pressure: PRESSURE,
  quantities: QUANTITIES,
  cards: CARDS,
  produce: PRODUCE,
  forms: FORMS,
  jars: JAR_ROWS,
  canners: CANNERS,
  steps: STEPS,
  syrups: SYRUPS,
})) {
  out(`  ${String(rows.length).padStart(4)}  ${name}`);
}

const count = <T extends string>(list: readonly T[]) =>
  [...list.reduce((all, one) => all.set(one, (all.get(one) ?? 0) + 1), new Map<T, number>())].sort(
    (a, b) => b[1] - a[1],
  );

out('\nConfidence of tested rows');
for (const [confidence, n] of count([...BOILING_WATER, ...PRESSURE].map((row) => row.confidence))) {
  out(`  ${String(n).padStart(4)}  ${confidence}`);
}

out('\nProducts by class');
for (const [name, n] of count(PRODUCTS.map(({ productClass }) => productClass)))
  out(`  ${String(n).padStart(4)}  ${name}`);

const unsure = PRODUCTS.filter((row) => row.hasFormula && !hasSureCard(row.product));
out(`\nNot offered for the shelf: ${unsure.map(({ name }) => name).join(', ') || 'none'}`);
out(`Never for the shelf: ${NEVER_ON_SHELF.map(({ name }) => name).join('; ')}`);

const tested: string[] = [];
const refused: string[] = [];
for (const { product } of PRODUCTS)
  for (const pack of ['hot', 'raw'])
    for (const jar of JAR_SIZES)
      for (const method of METHODS)
        for (const altitudeFt of ALTITUDES) {
          const answer = findProcess({ product, pack, jar, method, altitudeFt });
          if (answer.kind === 'tested') tested.push(method);
          else refused.push(answer.cause);
        }
out(
  `\nQuestions asked: ${tested.length + refused.length} (product x pack x jar x method x ${ALTITUDES.length} altitudes)`,
);
out(`Answered with a tested row: ${tested.length}`);
for (const [method, n] of count(tested)) out(`  ${String(n).padStart(6)}  ${method}`);
out(`Refused: ${refused.length}`);
for (const [cause, n] of count(refused)) out(`  ${String(n).padStart(6)}  ${cause}`);
