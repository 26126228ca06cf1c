import { JAR_SIZES, JARS } from '../../handbook/jars';
import { type ProductId, type ProductRow } from '../../handbook/products';
import { type JarLot, SEALS } from '../../pantry/jarLot';
import { bestBy, refrigeratedUseBy } from '../../pantry/keepsUntil';
import { type PantryPlace } from '../../pantry/place';
import { type CalledJars, jarsCalled } from '../../recipe/jarsCalled';
import { readDay } from '../readDay';
import { ownId, plainWords, sizeNamed, wholeNumber } from './readCells';
import { type CellsOf, type RowFault, type TableSpec } from './readTable';

/** What a shelf's file tells of each row; the first four are needed. */
export const JAR_COLUMNS = ['product', 'size', 'jars', 'made', 'place', 'seal', 'lot', 'card', 'crop'] as const;
export type JarColumn = (typeof JAR_COLUMNS)[number];

const MOST_JARS = 2_000;

/** A lot of the file but for its id, and how many jars stand in it. */
export interface JarsRow {
  readonly lot: Omit<JarLot, 'id'>;
  readonly jars: number;
}

export interface JarsGround {
  readonly places: readonly PantryPlace[];
  readonly now: number;
  /** Where the household is. */
  readonly timeZone?: string;
  /** Products it named itself, by what the file calls them. */
  readonly products?: Readonly<Record<string, ProductId>>;
  /** Products by any name, the best match first: what a name that is none may have meant. */
  readonly search: (name: string) => readonly ProductRow[];
}

/** Jars that stand on a shelf already. */
export function jarsIn(ground: JarsGround): TableSpec<JarColumn, JarsRow> {
  const whatIs = jarsByName(ground.products ?? {});
  return {
    name: 'jars',
    columns: {
      product: {
        names: ['product', 'item', 'contents', 'what', 'food', 'name', 'description', 'produce', 'recipe'],
        needed: true,
      },
      size: { names: ['size', 'jar', 'jar size', 'container', 'container size'], needed: true },
      jars: {
        names: ['jars', 'count', 'quantity', 'qty', 'number', 'how many', 'on hand', 'amount', 'left', 'total'],
        needed: true,
      },
      made: {
        names: ['made', 'date', 'canned', 'date canned', 'put up', 'made on', 'date made', 'month', 'year', 'packed'],
        needed: true,
      },
      place: { names: ['place', 'location', 'where', 'room', 'stored', 'shelf'] },
      seal: { names: ['seal', 'sealed'] },
      lot: { names: ['lot', 'lot id'] },
      card: { names: ['card'] },
      crop: { names: ['crop'] },
    },
    dates: 'made',
    read: (cells, dayFirst) => {
      const read = readRow(cells, { ...ground, dayFirst }, whatIs);
      if (Array.isArray(read)) return read;
      const { jars, day, ...lot } = read;
      return {
        row: { lot, jars },
        words: [lot.product, lot.jar, jars, day, lot.place, lot.seal].join('|'),
        ...ownId(cells.cell('lot')),
      };
    },
  };
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

type Row = Omit<JarLot, 'id'> & { jars: number; day: string };

function readRow(
  { cell }: CellsOf<JarColumn>,
  choices: JarsGround & { readonly dayFirst: boolean },
  whatIs: WhatIsCalled,
): Row | RowFault<JarColumn>[] {
  const faults: RowFault<JarColumn>[] = [];
  const called = whatIs(cell('product'), { recipe: cell('card'), crop: cell('crop') });
  const { product } = called ?? {};
  if (product === undefined) {
    const meant = choices.search(cell('product'))[0]?.product;
    faults.push({
      column: 'product',
      says: cell('product') === '' ? 'is missing' : 'is not a product of the handbook',
      ...(meant && { meant }),
    });
  }
  const jar = sizeNamed(cell('size'));
  if (jar === undefined)
    faults.push({ column: 'size', says: `is not a jar size: ${JAR_SIZES.map((size) => JARS[size].one).join(', ')}` });
  const jars = wholeNumber(cell('jars')) ?? NaN;
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

/** A place by its name or id; where none is told, the first that suits. What is open is kept cold. */
function placeNamed(words: string, seal: JarLot['seal'], places: readonly PantryPlace[]): string | undefined {
  const suits = (place: PantryPlace) => seal === 'sealed' || place.kind === 'refrigerator' || place.kind === 'freezer';
  if (words === '') return places.find((place) => suits(place) && (seal !== 'sealed' || place.kind === 'shelf'))?.id;
  return places.find((place) => suits(place) && (place.id === words || plainWords(place.name) === plainWords(words)))
    ?.id;
}
