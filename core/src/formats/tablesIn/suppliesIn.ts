import { JAR_ROWS, type Mouth } from '../../handbook/jars';
import { type HardwareKind, type HardwareMove, hardwareKey } from '../../supplies/hardware';
import { sizeWithin, wholeNumber } from './readCells';
import { type RowFault, type TableSpec } from './readTable';

export type SupplyColumn = 'what' | 'count' | 'size' | 'mouth';
export type SupplyRow = Omit<HardwareMove, 'id'>;

const MOST = 5_000;

/** Empty jars, lids and bands in the drawer. */
export function suppliesIn({ now }: { readonly now: number }): TableSpec<SupplyColumn, SupplyRow> {
  return {
    name: 'supplies',
    columns: {
      what: { names: ['what', 'item', 'thing', 'kind', 'name', 'description', 'supply'], needed: true },
      count: { names: ['count', 'number', 'how many', 'quantity', 'qty', 'on hand', 'amount', 'left'], needed: true },
      size: { names: ['size', 'jar size'] },
      mouth: { names: ['mouth', 'width'] },
    },
    read: ({ cell }) => {
      const faults: RowFault<SupplyColumn>[] = [];
      const words = `${cell('what')} ${cell('size')}`;
      const kind = kindOf(cell('what'));
      const size = sizeWithin(words);
      if (!kind && !size) faults.push({ column: 'what', says: 'must name jars with their size, lids or bands' });
      const what = kind ?? 'jar';
      if (what === 'jar' && !size && kind) faults.push({ column: 'size', says: 'is missing: which jars?' });
      const count = wholeNumber(cell('count')) ?? NaN;
      if (!(count >= 1 && count <= MOST))
        faults.push({ column: 'count', says: `must be a whole number from 1 to ${MOST.toLocaleString('en')}` });
      if (faults.length > 0) return faults;
      const mouth = mouthOf(`${words} ${cell('mouth')}`, what === 'jar' ? size : undefined);
      const thing = { kind: what, mouth, ...(what === 'jar' && size && { size }) };
      return {
        row: { ...thing, way: 'found', count, at: now },
        words: [hardwareKey(thing), count].join('|'),
      };
    },
  };
}

function kindOf(words: string): HardwareKind | undefined {
  if (/\blids?\b/i.test(words)) return /reus/i.test(words) ? 'reusable-lid' : 'lid';
  if (/\b(bands?|rings?)\b/i.test(words)) return 'band';
  return /\bjars?\b/i.test(words) ? 'jar' : undefined;
}

/** As it is written; else the one that a size is sold with, and regular where there are both. */
function mouthOf(words: string, size: (typeof JAR_ROWS)[number]['size'] | undefined): Mouth {
  if (/\bwide\b/i.test(words)) return 'wide';
  const mouths = JAR_ROWS.filter((row) => row.size === size).map(({ mouth }) => mouth);
  return mouths.length === 1 && mouths[0] ? mouths[0] : 'regular';
}
