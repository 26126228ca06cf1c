import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { parse } from 'csv-parse/sync';
import { BOILING_WATER } from './boilingWater';
import { CANNERS } from './canners';
import { PRINTED_FORMS } from './forms';
import { JAR_ROWS } from './jars';
import { PRESSURE } from './pressure';
import { PRINTED_PRODUCE } from './produce';
import { PRODUCTS } from './products';
import { QUANTITIES } from './quantity';
import { STEPS } from './steps';
import { SYRUPS } from './syrup';

// The tables as they were written down from the sources named in each typed table: see published/. A row of a typed
// table that differs in a single figure, is missing, is over or stands elsewhere fails here.

type Cell = string | number | undefined;

/** A row of the typed table as the cells of the page. */
const TABLES: Record<string, readonly (readonly Cell[])[]> = {
  'boiling-water': BOILING_WATER.map((row) => [
    row.process,
    row.packs.join('|'),
    row.jars.join('|'),
    ...row.minutes,
    row.headspaceIn,
    /guide (\d)/.exec(row.source)?.[1] ?? 'NCHFP',
    row.acidify,
    row.confidence,
  ]),
  pressure: PRESSURE.map((row) => [
    row.process,
    row.pack,
    row.jars.join('|'),
    row.minutes,
    ...row.dialPsi.map((psi) => psi ?? ''),
    row.weightedPsi[0] ?? '',
    row.weightedPsi[1] ?? 'not recommended',
    row.headspaceIn,
    row.confidence,
  ]),
  products: PRODUCTS.map((row) => [
    row.product,
    row.name,
    row.otherNames.join('|'),
    row.crops.map((all) => all.join('+')).join('|'),
    row.form,
    row.productClass,
    row.process,
    row.hasQuantity ? row.product : '',
    row.hasFormula ? 'recipe' : '',
    row.sequence.join('>'),
    row.mayDouble ? 'yes' : 'no',
    row.lowTemperatureBath ? 'yes' : 'no',
    row.readyAfterDays,
  ]),
  quantity: QUANTITIES.map(({ product, lbPer7Quarts, lbPer9Pints, container, lbPerQuart }) => [
    product,
    lbPer7Quarts,
    lbPer9Pints,
    container?.name,
    container?.lb,
    container?.quarts[0],
    container?.quarts[1],
    lbPerQuart,
  ]),
  produce: PRINTED_PRODUCE.map(({ crop, bushelLb, trimLoss, keepsDays, bestStore, note }) => [
    crop,
    bushelLb,
    trimLoss,
    keepsDays.counter,
    keepsDays.cool,
    keepsDays.refrigerator,
    bestStore,
    note,
  ]),
  forms: PRINTED_FORMS.map(({ crop, form, cupsPerLb, basis }) => [crop, form, cupsPerLb, basis]),
  jars: JAR_ROWS.map((row) => [row.size, row.nominalFlOz, row.mouth, row.maxDiameterIn, row.heightIn, row.lids]),
  canners: CANNERS.map((row) => [
    row.canner,
    row.method,
    row.insideDiameterIn,
    row.insideHeightIn,
    row.rackHeightIn,
    row.declaredQuarts,
    row.declaredPints,
    row.declaredHalfPints,
    row.layers,
    row.note,
  ]),
  steps: STEPS.map((row) => [
    row.step,
    row.words,
    ...row.handsPerLb,
    ...row.fixedMinutes,
    ...row.waitMinutes,
    row.resources.join('+'),
    row.longestPauseAfter,
    row.holding,
    row.note,
  ]),
  syrup: SYRUPS.map((row) => [
    row.syrup,
    row.percentSugar,
    row.waterCupsPer9Pints,
    row.sugarCupsPer9Pints,
    row.waterCupsPer7Quarts,
    row.sugarCupsPer7Quarts,
  ]),
};

/** "2.00" and 2 are the same figure; a resource named "or" is written with it on the page. */
function same(cell: Cell): string {
  const text = String(cell ?? '');
  return text !== '' && Number.isFinite(Number(text)) ? String(Number(text)) : text.replace(' or ', '+');
}

/** "either of two tomatoes, and peppers, and onions", spelled out so that `+` always binds before `|`. */
const SPELLED_OUT: Record<string, string> = {
  'tomato-paste|tomato-slicing+pepper-hot+onion': 'tomato-paste+pepper-hot+onion|tomato-slicing+pepper-hot+onion',
};

test.each(Object.entries(TABLES))('every row of %s is reproduced, in its order', (name, rows) => {
  const file = readFileSync(join(__dirname, 'published', `${name}.csv`), 'utf8');
  const [, ...printed] = parse(file) as string[][];
  expect(rows.map((row) => row.map(same))).toEqual(
    printed.map((row) => row.map((cell) => same(SPELLED_OUT[cell] ?? cell))),
  );
});
