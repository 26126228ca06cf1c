import { JAR_SIZES, type JarSize, JARS } from '../handbook/jars';
import { type ProductId, type ProductRow } from '../handbook/products';
import { type JarLot, SEALS } from '../pantry/jarLot';
import { bestBy, refrigeratedUseBy } from '../pantry/keepsUntil';
import { type PantryPlace } from '../pantry/place';
import { type CalledJars, jarsCalled } from '../recipe/jarsCalled';
import { readCsv } from './csv';
import { readDay } from './readDay';

/** What a shelf's file tells of each row; the first four are needed. */
export const JAR_COLUMNS = ['product', 'size', 'jars', 'made', 'place', 'seal', 'lot', 'card', 'crop'] as const;
export type JarColumn = (typeof JAR_COLUMNS)[number];
const NEEDED: readonly JarColumn[] = ['product', 'size', 'jars', 'made'];

/** More rows than this are no shelf; the file is parted by year. */
export const MOST_ROWS = 5_000;
const MOST_JARS = 2_000;

/** Names of columns as households and other programs write them. */
const COLUMN_NAMES: Readonly<Record<JarColumn, readonly string[]>> = {
  product: ['product', 'item', 'contents', 'what', 'food', 'name', 'description', 'produce', 'recipe'],
  size: ['size', 'jar', 'jar size', 'container', 'container size'],
  jars: ['jars', 'count', 'quantity', 'qty', 'number', 'how many', 'on hand', 'amount', 'left', 'total'],
  made: ['made', 'date', 'canned', 'date canned', 'put up', 'made on', 'date made', 'month', 'year', 'packed'],
  place: ['place', 'location', 'where', 'room', 'stored', 'shelf'],
  seal: ['seal', 'sealed'],
  lot: ['lot', 'lot id'],
  card: ['card'],
  crop: ['crop'],
};

/** One lot of the file, ready to be put on the shelf. */
export interface JarsIn {
  readonly lot: JarLot;
  readonly jars: number;
}

/** A cell that cannot be read: where it is, what was typed, what is asked. */
export interface CsvFault {
  readonly line: number;
  readonly column: JarColumn;
  readonly typed: string;
  readonly says: string;
  /** A product it may mean. */
  readonly meant?: ProductId;
}

export type JarsFile =
  | { readonly kind: 'read'; readonly rows: readonly JarsIn[]; readonly faults: readonly CsvFault[] }
  /** Some needed columns have names that are not known: which are they? */
  | {
      readonly kind: 'columns';
      readonly header: readonly string[];
      readonly known: Partial<Record<JarColumn, number>>;
      readonly missing: readonly JarColumn[];
    }
  | { readonly kind: 'refused'; readonly reason: string };

export interface JarsFileChoices {
  readonly places: readonly PantryPlace[];
  readonly now: number;
  /** 9/12 is September in `us`, December elsewhere. */
  readonly dayFirst: boolean;
  /** Where the household is. */
  readonly timeZone?: string;
  /** Columns the household named itself: their place in the row. */
  readonly columns?: Partial<Record<JarColumn, number>>;
  /** Products it named itself, by what the file calls them. */
  readonly products?: Readonly<Record<string, ProductId>>;
  /** Products by any name, the best match first: what a name that is none may have meant. */
  readonly search: (name: string) => readonly ProductRow[];
  /** The same words give the same id: a file put in twice is known. */
  readonly idOf: (words: string) => string;
}

/**
 * Reads a file of jars that stand on a shelf already. Every cell that cannot be read is told with its line; a row is
 * whole or a fault, nothing is guessed.
 */
export function readJarsCsv(text: string, choices: JarsFileChoices): JarsFile {
  const { header, rows } = readCsv(text);
  if (rows.length === 0)
    return { kind: 'refused', reason: 'There are no jars in this file: it has a heading and no rows, or nothing.' };
  if (rows.length > MOST_ROWS) {
    const reason = `This file has ${rows.length.toLocaleString('en')} rows; up to ${MOST_ROWS.toLocaleString('en')} are taken at once. Part it, by year perhaps.`;
    return { kind: 'refused', reason };
  }
  const known = { ...columnsOf(header), ...choices.columns };
  const missing = NEEDED.filter((column) => known[column] === undefined);
  if (missing.length > 0) return { kind: 'columns', header, known, missing };
  const seen = new Map<string, number>();
  const whatIs = jarsByName(choices.products ?? {});
  const faults: CsvFault[] = [];
  const lots: JarsIn[] = [];
  for (const { line, cells } of rows) {
    const cell = (column: JarColumn) => cells[known[column] ?? -1] ?? '';
    const read = readRow(cell, choices, whatIs);
    if (Array.isArray(read)) {
      faults.push(...read.map((fault) => ({ line, typed: cell(fault.column), ...fault })));
      continue;
    }
    const words = [read.product, read.jar, read.jars, read.day, read.place, read.seal].join('|');
    const occurrence = seen.get(words) ?? 0;
    seen.set(words, occurrence + 1);
    const { jars, day: _, ...lot } = read;
    const own = cell('lot');
    const id = UUID.test(own) ? own.toLowerCase() : choices.idOf(`jars ${words}|${occurrence}`);
    lots.push({ jars, lot: { id, ...lot } });
  }
  const ids = new Set(lots.map(({ lot }) => lot.id));
  if (ids.size < lots.length)
    return { kind: 'refused', reason: 'Two rows of this file have the same lot: was it put together twice?' };
  return { kind: 'read', rows: lots, faults };
}

type WhatIsCalled = (name: string, told: { readonly recipe: string; readonly crop: string }) => CalledJars | undefined;

/** What the file calls a product is looked up once, however many rows have it. */
function jarsByName(named: Readonly<Record<string, ProductId>>): WhatIsCalled {
  const known = new Map<string, CalledJars | undefined>();
  return (name, told) => {
    const own = named[name];
    if (own) return { product: own };
    const key = [name, told.recipe, told.crop].join('|');
    if (!known.has(key)) known.set(key, jarsCalled(name, told));
    return known.get(key);
  };
}

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i;

type Row = Omit<JarLot, 'id'> & { jars: number; day: string };
type RowFault = Pick<CsvFault, 'column' | 'says' | 'meant'>;

function readRow(
  cell: (column: JarColumn) => string,
  choices: JarsFileChoices,
  whatIs: WhatIsCalled,
): Row | RowFault[] {
  const faults: RowFault[] = [];
  const called = whatIs(cell('product'), { recipe: cell('card'), crop: cell('crop') });
  const { product } = called ?? {};
  if (product === undefined) {
    const meant = choices.search(cell('product'))[0]?.product as ProductId | undefined;
    faults.push({
      column: 'product',
      says: cell('product') === '' ? 'is missing' : 'is not a product of the handbook',
      ...(meant && { meant }),
    });
  }
  const jar = sizeNamed(cell('size'));
  if (jar === undefined)
    faults.push({ column: 'size', says: `is not a jar size: ${JAR_SIZES.map((size) => JARS[size].one).join(', ')}` });
  const jars = /^\d{1,5}([.,]0+)?$/.test(cell('jars')) ? Number.parseInt(cell('jars'), 10) : NaN;
  if (!(jars >= 1 && jars <= MOST_JARS))
    faults.push({ column: 'jars', says: `must be a whole number from 1 to ${MOST_JARS.toLocaleString('en')}` });
  const made = readDay(cell('made'), choices);
  if (made.kind === 'fault') faults.push({ column: 'made', says: made.says });
  const seal = SEALS.find((each) => each === (cell('seal').toLowerCase() || 'sealed'));
  if (!seal) faults.push({ column: 'seal', says: 'must be sealed, unsealed, opened or cold' });
  const place = placeNamed(cell('place'), seal ?? 'sealed', choices.places);
  if (place === undefined)
    faults.push({
      column: 'place',
      says: 'is not one of your places: name it under Places first, or leave the cell empty',
    });
  if (faults.length > 0 || !product || !jar || made.kind === 'fault' || !seal || place === undefined) return faults;
  const keepsUntil = seal === 'sealed' ? bestBy(made.at) : refrigeratedUseBy(product, made.at);
  return { ...called, product, jar, place, seal, madeAt: made.at, keepsUntil, jars, day: made.day };
}

function columnsOf(header: readonly string[]): Partial<Record<JarColumn, number>> {
  const plain = header.map(plainWords);
  const taken = new Set<number>();
  const found: Partial<Record<JarColumn, number>> = {};
  for (const column of JAR_COLUMNS) {
    const at = COLUMN_NAMES[column]
      .map((name) => plain.findIndex((each, i) => each === name && !taken.has(i)))
      .find((i) => i >= 0);
    if (at === undefined) continue;
    found[column] = at;
    taken.add(at);
  }
  return found;
}

function plainWords(words: string): string {
  return words
    .toLowerCase()
    .replace(/[^\p{L}\p{N}/]+/gu, ' ')
    .trim();
}

const OTHER_SIZES: Readonly<Record<string, JarSize>> = {
  pt: 'pint',
  qt: 'quart',
  '1/2 pint': 'half-pint',
  '1/4 pint': 'quarter-pint',
  '1/2 gallon': 'half-gallon',
  '4 oz': 'quarter-pint',
  '8 oz': 'half-pint',
  '12 oz': 'twelve-ounce',
  '16 oz': 'pint',
  '24 oz': 'pint-and-half',
  '32 oz': 'quart',
  '64 oz': 'half-gallon',
};

const BY_SIZE = new Map<string, JarSize>([
  ...Object.entries(OTHER_SIZES),
  ...JAR_SIZES.flatMap((size) =>
    [size, JARS[size].one, JARS[size].several].map((each) => [plainWords(each), size] as const),
  ),
]);

function sizeNamed(words: string): JarSize | undefined {
  const plain = plainWords(words)
    .replace(/(\d)(oz|ounces?)\b/, '$1 oz')
    .replace(/ounces?( jars?)?$/, 'oz');
  return BY_SIZE.get(plain) ?? BY_SIZE.get(plain.replace(/ jars?$/, ''));
}

/** A place by its name or id; where none is told, the first that suits. What is open is kept cold. */
function placeNamed(words: string, seal: JarLot['seal'], places: readonly PantryPlace[]): string | undefined {
  const suits = (place: PantryPlace) => seal === 'sealed' || place.kind === 'refrigerator' || place.kind === 'freezer';
  if (words === '') return places.find((place) => suits(place) && (seal !== 'sealed' || place.kind === 'shelf'))?.id;
  return places.find((place) => suits(place) && (place.id === words || plainWords(place.name) === plainWords(words)))
    ?.id;
}
