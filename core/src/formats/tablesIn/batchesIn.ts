import { JAR_SIZES, JARS } from '../../handbook/jars';
import { type ProductRow } from '../../handbook/products';
import { findProduce } from '../../handbook/produce';
import { cardsOf } from '../../handbook/cards';
import { mainLine } from '../../recipe/cardCrops';
import { type CalledJars, jarsCalled } from '../../recipe/jarsCalled';
import { type BatchRecord, NOTHING_MORE } from '../../yields/batchRecord';
import { checkRecord } from '../../yields/checkRecord';
import { readDay } from '../readDay';
import { cropOf, cropSays } from './cropCell';
import { type HarvestGround } from './picksIn';
import { readAmountCell } from './readAmountCell';
import { jarsNamed, ownId, sizeNamed, wholeNumber } from './readCells';
import { type RowFault, type TableSpec } from './readTable';

export type BatchColumn = 'made' | 'product' | 'crop' | 'produce' | 'unit' | 'jars' | 'size' | 'note' | 'id';
export type BatchRow = Omit<BatchRecord, 'id'>;

export interface BatchesGround extends HarvestGround {
  readonly products?: Readonly<Record<string, string>>;
  readonly search: (name: string) => readonly ProductRow[];
}

const MOST_JARS = 500;
const MOST_NOTE = 400;

/** Batches of other years: what estimates learn from. */
export function batchesIn({
  now,
  timeZone,
  units,
  crops,
  products = {},
  search,
}: BatchesGround): TableSpec<BatchColumn, BatchRow> {
  return {
    name: 'batches',
    columns: {
      made: { names: ['made', 'date', 'started', 'day', 'canned', 'put up', 'when'], needed: true },
      product: { names: ['product', 'recipe', 'what', 'item', 'made of', 'name'], needed: true },
      crop: { names: ['crop', 'fruit', 'vegetable'] },
      produce: {
        names: ['produce', 'weight', 'went in', 'lb', 'lbs', 'kg', 'pounds', 'amount'],
        needed: true,
      },
      unit: { names: ['unit', 'units'] },
      jars: { names: ['jars', 'jars made', 'count', 'came out', 'number', 'yield', 'how many'], needed: true },
      size: { names: ['size', 'jar', 'jar size', 'container'], needed: true },
      note: { names: ['note', 'notes', 'remarks', 'comment', 'comments'] },
      id: { names: ['record'] },
    },
    dates: 'made',
    read: ({ cell, head }, dayFirst) => {
      const faults: RowFault<BatchColumn>[] = [];
      const day = readDay(cell('made'), { dayFirst, now, ...(timeZone !== undefined && { timeZone }) });
      if (day.kind === 'fault') faults.push({ column: 'made', says: day.says });
      const own = products[cell('product')];
      const called = own === undefined ? jarsCalled(cell('product')) : jarsCalled(own);
      if (!called) {
        const meant = cell('product') === '' ? undefined : search(cell('product'))[0]?.product;
        const says = cell('product') === '' ? 'is missing' : 'is not a product of the handbook';
        faults.push({ column: 'product', says, ...(meant && { meant }) });
      }
      const named = cell('crop') === '' ? cropOfProduct(called, crops?.['']) : cropOf(cell('crop'), crops);
      const crop = named.crop === undefined ? undefined : findProduce(named.crop)?.crop;
      if (called && !crop) {
        const meant = 'meant' in named ? named.meant : undefined;
        faults.push({ column: 'crop', says: cropSays(cell('crop')), ...(meant && { meant }) });
      }
      const mass = crop && readAmountCell(cell('produce'), { head: head('produce'), unit: cell('unit') }, crop, units);
      if (mass?.kind === 'fault') faults.push({ column: 'produce', says: mass.says });
      const counts = jarsNamed(cell('jars'));
      const jar = counts?.[0]?.jar ?? sizeNamed(cell('size'));
      if (!jar)
        faults.push({
          column: 'size',
          says: `is not a jar size: ${JAR_SIZES.map((size) => JARS[size].one).join(', ')}`,
        });
      const count = counts?.reduce((sum, each) => sum + each.count, 0) ?? wholeNumber(cell('jars')) ?? NaN;
      if (!(count >= 0 && count <= MOST_JARS))
        faults.push({ column: 'jars', says: `must be a whole number up to ${MOST_JARS}` });
      if (faults.length > 0 || day.kind === 'fault' || !called || !crop || !mass || mass.kind !== 'mass' || !jar)
        return faults;
      const record: BatchRow = {
        ...NOTHING_MORE,
        ...{ batchId: null, product: called.product, crop, massKg: mass.massKg, waterMl: 0, sugarKg: 0 },
        ...{
          jars: counts ?? [{ jar, count }],
          partJar: null,
          madeAt: day.at,
          note: cell('note').slice(0, MOST_NOTE),
          learnFrom: true,
        },
      };
      // What cannot be is kept as it was written, and nothing is learned from it.
      const learnFrom = checkRecord({ ...record, id: '' }).kind === 'likely';
      return {
        row: { ...record, learnFrom },
        words: [day.day, called.product, crop, mass.massKg.toFixed(3), count, jar].join('|'),
        ...ownId(cell('id')),
      };
    },
  };
}

/** The crop of a product, where no cell tells it: its only one, or the one that was said; else the first may be meant. */
function cropOfProduct(called: CalledJars | undefined, said: string | undefined): { crop?: string; meant?: string } {
  const crops = called ? cardsOf(called.product).flatMap((card) => mainLine(card)?.crops ?? []) : [];
  const [first] = crops;
  const sole = called?.crop ?? (new Set(crops).size === 1 ? first : undefined) ?? said;
  if (sole !== undefined) return { crop: sole };
  return first === undefined ? {} : { meant: first };
}
