import { PICK_SOURCES, type Pick as HarvestPick, PLACES } from '../../harvest/pick';
import { readDay } from '../readDay';
import { cropOf, cropSays } from './cropCell';
import { readAmountCell } from './readAmountCell';
import { ownId, plainWords } from './readCells';
import { type RowFault, type TableSpec } from './readTable';

export type PickColumn = 'picked' | 'crop' | 'amount' | 'unit' | 'soft' | 'place' | 'source' | 'id';
/** A pick but for its id. */
export type PickRow = Omit<HarvestPick, 'id'>;

export interface HarvestGround {
  readonly now: number;
  readonly timeZone?: string;
  readonly units: 'us' | 'metric';
  /** Crops the household named itself, by what the file calls them. */
  readonly crops?: Readonly<Record<string, string>>;
}

/** What came in, of this year or of earlier ones. */
export function picksIn({ now, timeZone, units, crops }: HarvestGround): TableSpec<PickColumn, PickRow> {
  return {
    name: 'picks',
    columns: {
      picked: { names: ['picked', 'date', 'day', 'when', 'harvested', 'harvest date', 'date picked'], needed: true },
      crop: { names: ['crop', 'produce', 'what', 'item', 'variety', 'vegetable', 'fruit', 'name'], needed: true },
      amount: {
        names: [
          'amount',
          'kg',
          'lb',
          'lbs',
          'pounds',
          'weight',
          'harvest',
          'yield',
          'quantity',
          'qty',
          'how much',
          'total',
        ],
        needed: true,
      },
      unit: { names: ['unit', 'units', 'measure'] },
      soft: { names: ['of it soft', 'soft'] },
      place: { names: ['place', 'where', 'stored'] },
      source: { names: ['source', 'from'] },
      id: { names: ['id'] },
    },
    dates: 'picked',
    read: ({ cell, head }, dayFirst) => {
      const faults: RowFault<PickColumn>[] = [];
      const day = readDay(cell('picked'), { dayFirst, now, ...(timeZone !== undefined && { timeZone }) });
      if (day.kind === 'fault') faults.push({ column: 'picked', says: day.says });
      const { crop, meant } = cropOf(cell('crop'), crops);
      if (!crop) faults.push({ column: 'crop', says: cropSays(cell('crop')), ...(meant && { meant }) });
      const amountOf = (column: 'amount' | 'soft') =>
        crop && readAmountCell(cell(column), { head: head(column), unit: cell('unit') }, crop, units);
      const mass = amountOf('amount');
      if (mass?.kind === 'fault') faults.push({ column: 'amount', says: mass.says });
      const soft = /^(0([.,]0+)?)?$/.test(cell('soft')) ? undefined : amountOf('soft');
      if (soft?.kind === 'fault') faults.push({ column: 'soft', says: soft.says });
      if (faults.length > 0 || day.kind === 'fault' || !crop || mass?.kind !== 'mass') return faults;
      const massKg = mass.massKg;
      const softKg = Math.min(massKg, soft?.kind === 'mass' ? soft.massKg : 0);
      const place = PLACES.find((each) => each === plainWords(cell('place'))) ?? 'cool';
      const source = PICK_SOURCES.find((each) => each === plainWords(cell('source'))) ?? 'garden';
      return {
        row: {
          ...{ crop, massKg, softKg, ripeness: 'ripe', place, pickedAt: day.at, source, plantingId: null },
          told: `${cell('amount')} ${cell('unit')}`.trim().slice(0, 80),
        },
        words: [day.day, crop, massKg.toFixed(3), source].join('|'),
        ...ownId(cell('id')),
      };
    },
  };
}
