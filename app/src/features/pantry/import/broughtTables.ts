import { type RowsIn } from '@hoddle/contract/rowsIn';
import { type BatchColumn, type BatchRow, batchesIn } from '@hoddle/core/formats/tablesIn/batchesIn';
import { type GardenColumn, type GardenRow, gardenIn } from '@hoddle/core/formats/tablesIn/gardenIn';
import { type GoalColumn, goalsIn } from '@hoddle/core/formats/tablesIn/goalsIn';
import { type JarColumn, type JarsRow, jarsIn } from '@hoddle/core/formats/tablesIn/jarsIn';
import { type PickColumn, type PickRow, picksIn } from '@hoddle/core/formats/tablesIn/picksIn';
import { type TableSpec } from '@hoddle/core/formats/tablesIn/readTable';
import { type SupplyColumn, type SupplyRow, suppliesIn } from '@hoddle/core/formats/tablesIn/suppliesIn';
import { JARS } from '@hoddle/core/handbook/jars';
import { produceRow } from '@hoddle/core/handbook/produce';
import { type ProductId, type ProductRow, productRow } from '@hoddle/core/handbook/products';
import { goneBefore } from '@hoddle/core/harvest/usedUp';
import { type DateStyle, dateWords } from '@hoddle/core/measure/dateWords';
import { massWords } from '@hoddle/core/measure/massWords';
import { type PantryPlace } from '@hoddle/core/pantry/place';
import { type ShelfGoal } from '@hoddle/core/pantry/shelfGoal';
import { countOf } from '@/household/pantry/pantryWords';

export const BROUGHT = ['jars', 'picks', 'garden', 'batches', 'supplies', 'goals'] as const;
export type Brought = (typeof BROUGHT)[number];

export interface BroughtGround {
  readonly now: number;
  readonly units: 'us' | 'metric';
  readonly dates: DateStyle;
  readonly places: readonly PantryPlace[];
  /** What the household said a word of the file means, by that word. */
  readonly meant: Readonly<Record<string, string>>;
  readonly search: (name: string) => readonly ProductRow[];
}

type Rows = readonly { readonly id: string; readonly row: unknown }[];

/** A kind of table: what its columns are called when they are asked for, how it is read, shown and sent. */
export interface BroughtTable {
  readonly words: string;
  readonly hint: string;
  readonly example: string;
  readonly columns: Readonly<Record<string, string>>;
  spec(ground: BroughtGround): TableSpec<string, unknown>;
  shown(row: unknown, ground: BroughtGround): string;
  /** As it is sent; jars go their own way, since they wait where there is no signal. */
  sent?(rows: Rows, now: number): RowsIn;
}

const ground = ({ now, units, dates, meant }: BroughtGround) => ({
  ...{ now, units, crops: meant },
  ...(dates.timeZone !== undefined && { timeZone: dates.timeZone }),
});

const JARS_TABLE: BroughtTable = {
  words: 'Jars you have',
  hint: 'A row a lot, with what is in it, the size of jar, how many and when made; the place if you like.',
  example: 'product,size,jars,made\nCrushed tomatoes,quart,12,2025-09',
  columns: {
    ...{ product: 'what is in it', size: 'the size of jar', jars: 'how many', made: 'when made' },
    ...{
      place: 'where it stands',
      seal: 'sealed or opened',
      lot: 'the lot',
      card: 'the recipe card',
      crop: 'the crop',
    },
  } satisfies Record<JarColumn, string>,
  spec: ({ meant, ...all }) =>
    jarsIn({
      ...{ places: all.places, now: all.now, search: all.search, products: meant as Record<string, ProductId> },
      ...(all.dates.timeZone !== undefined && { timeZone: all.dates.timeZone }),
    }),
  shown: (row, { dates }) => {
    const { lot, jars } = row as JarsRow;
    return `${countOf(jars, lot)}, made ${dateWords(lot.madeAt, dates)}`;
  },
};

const PICKS_TABLE: BroughtTable = {
  words: 'Picks',
  hint: 'A row a basket: the day, the crop, how much. What is older than two weeks counts as used up since.',
  example: 'date,crop,lb\n2025-08-30,Paste tomatoes,42',
  columns: {
    ...{ picked: 'the day', crop: 'the crop', amount: 'how much', unit: 'the unit', soft: 'how much of it was soft' },
    ...{ place: 'where it was put', source: 'where it came from', id: 'its id here' },
  } satisfies Record<PickColumn, string>,
  spec: (all) => picksIn(ground(all)),
  shown: (row, { units, dates }) => {
    const { massKg, crop, pickedAt } = row as PickRow;
    return `${massWords(massKg, units)} ${produceRow(crop).name.toLowerCase()}, ${dateWords(pickedAt, dates)}`;
  },
  sent: (rows, now) => ({
    table: 'picks',
    rows: rows.map(({ id, row }) => ({ id, ...(row as PickRow) })),
    goneBefore: goneBefore(now),
  }),
};

const GARDEN_TABLE: BroughtTable = {
  words: 'Garden',
  hint: 'A row a bed or tree: the crop and how many; its weeks if you like, else they are set on its page.',
  example: 'bed,crop,count,unit\nEast bed,Paste tomatoes,60,plants',
  columns: {
    ...{ name: 'the bed', crop: 'the crop', count: 'how many', unit: 'plants, feet or trees', first: 'the first week' },
    ...{ peak: 'the fullest week', last: 'the last week', usual: 'what it gives in a usual year', id: 'its id here' },
  } satisfies Record<GardenColumn, string>,
  spec: (all) => gardenIn(ground(all)),
  shown: (row) => {
    const { name, crop, count, unit } = row as GardenRow;
    return `${name}: ${produceRow(crop).name.toLowerCase()}, ${count} ${unit}`;
  },
  sent: (rows) => ({ table: 'garden', rows: rows.map(({ id, row }) => ({ id, ...(row as GardenRow) })) }),
};

const BATCHES_TABLE: BroughtTable = {
  words: 'Batches of other years',
  hint: 'A row a batch: the day, what it was, how much produce went in, how many jars came out. Estimates learn from it.',
  example: 'made,product,produce,jars,size,note\n2025-08-30,Crushed tomatoes,46 lb,15,quart,a little thin',
  columns: {
    ...{ made: 'the day', product: 'what was made', crop: 'the crop', produce: 'how much went in', unit: 'the unit' },
    ...{ jars: 'how many jars came out', size: 'the size of jar', note: 'the note', id: 'its id here' },
  } satisfies Record<BatchColumn, string>,
  spec: (all) => batchesIn({ ...ground(all), products: all.meant, search: all.search }),
  shown: (row, { units, dates }) => {
    const { massKg, crop, product, jars, madeAt, learnFrom } = row as BatchRow;
    const made = jars.map(({ jar, count }) => `${count} ${count === 1 ? JARS[jar].one : JARS[jar].several}`).join(', ');
    const odd = learnFrom ? '' : '; unlikely, so nothing is learned from it';
    return `${made} ${productRow(product).name.toLowerCase()} of ${massWords(massKg, units)} ${produceRow(crop).name.toLowerCase()}, ${dateWords(madeAt, dates)}${odd}`;
  },
  sent: (rows) => ({
    table: 'batches',
    rows: rows.map(({ id, row }) => ({ id, ...(row as BatchRow) })) as (RowsIn & { table: 'batches' })['rows'],
  }),
};

const SUPPLIES_TABLE: BroughtTable = {
  words: 'Empty jars and lids',
  hint: 'A row a kind: what it is with its size, and how many.',
  example: 'what,size,mouth,count\njars,quart,regular,60\nlids,,wide,24',
  columns: {
    ...{ what: 'what it is', count: 'how many', size: 'the size', mouth: 'regular or wide' },
  } satisfies Record<SupplyColumn, string>,
  spec: ({ now }) => suppliesIn({ now }),
  shown: (row) => {
    const { kind, size, mouth, count } = row as SupplyRow;
    const what = kind === 'jar' && size ? `${JARS[size].one} jars` : kind.replace('-', ' ') + 's';
    return `${count} ${what}, ${mouth} mouth`;
  },
  sent: (rows) => ({ table: 'supplies', rows: rows.map(({ id, row }) => ({ id, ...(row as SupplyRow) })) }),
};

const GOALS_TABLE: BroughtTable = {
  words: 'Jars wanted',
  hint: 'A row a product and size: how many you want for a year. It takes the place of what was wanted of it before.',
  example: 'product,size,jars\nApplesauce,quart,20',
  columns: {
    ...{ product: 'the product', size: 'the size of jar', jars: 'how many a year', priority: 'how much it matters' },
  } satisfies Record<GoalColumn, string>,
  spec: ({ meant, search }) => goalsIn({ products: meant, search }),
  shown: (row) => {
    const { product, jar, jars } = row as ShelfGoal;
    return `${productRow(product).name}: ${jars} ${JARS[jar].several}`;
  },
  sent: (rows) => ({ table: 'goals', rows: rows.map(({ row }) => row as ShelfGoal) }),
};

export const BROUGHT_TABLES: Readonly<Record<Brought, BroughtTable>> = {
  jars: JARS_TABLE,
  picks: PICKS_TABLE,
  garden: GARDEN_TABLE,
  batches: BATCHES_TABLE,
  supplies: SUPPLIES_TABLE,
  goals: GOALS_TABLE,
};
