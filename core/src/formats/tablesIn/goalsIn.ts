import { JAR_SIZES, JARS } from '../../handbook/jars';
import { type ProductRow } from '../../handbook/products';
import { PRIORITIES, type ShelfGoal } from '../../pantry/shelfGoal';
import { jarsCalled } from '../../recipe/jarsCalled';
import { plainWords, sizeNamed, wholeNumber } from './readCells';
import { type RowFault, type TableSpec } from './readTable';

export type GoalColumn = 'product' | 'size' | 'jars' | 'priority';

const MOST_JARS = 2_000;

/** Jars wanted for a year. */
export function goalsIn({
  products = {},
  search,
}: {
  readonly products?: Readonly<Record<string, string>>;
  readonly search: (name: string) => readonly ProductRow[];
}): TableSpec<GoalColumn, ShelfGoal> {
  return {
    name: 'goals',
    columns: {
      product: { names: ['product', 'item', 'what', 'name', 'food'], needed: true },
      size: { names: ['size', 'jar', 'jar size', 'container'], needed: true },
      jars: {
        names: ['jars', 'wanted', 'want', 'goal', 'a year', 'count', 'number', 'how many', 'quantity'],
        needed: true,
      },
      priority: { names: ['priority', 'kind'] },
    },
    read: ({ cell }) => {
      const faults: RowFault<GoalColumn>[] = [];
      const called = jarsCalled(products[cell('product')] ?? cell('product'));
      if (!called) {
        const meant = cell('product') === '' ? undefined : search(cell('product'))[0]?.product;
        const says = cell('product') === '' ? 'is missing' : 'is not a product of the handbook';
        faults.push({ column: 'product', says, ...(meant && { meant }) });
      }
      const jar = sizeNamed(cell('size'));
      if (!jar)
        faults.push({
          column: 'size',
          says: `is not a jar size: ${JAR_SIZES.map((size) => JARS[size].one).join(', ')}`,
        });
      const jars = wholeNumber(cell('jars')) ?? NaN;
      if (!(jars >= 0 && jars <= MOST_JARS))
        faults.push({ column: 'jars', says: `must be a whole number up to ${MOST_JARS.toLocaleString('en')}` });
      if (faults.length > 0 || !called || !jar) return faults;
      const priority = PRIORITIES.find((each) => each === plainWords(cell('priority'))) ?? 'want';
      return {
        row: { product: called.product, jar, jars, perMonth: null, priority },
        words: `${called.product}|${jar}`,
      };
    },
  };
}
