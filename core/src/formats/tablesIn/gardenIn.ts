import { harvestYieldRow, PLANTING_UNITS, type PlantingUnit } from '../../handbook/harvestYields';
import { type Planting } from '../../harvest/planting';
import { readNumber } from '../../measure/readNumber';
import { cropOf, cropSays } from './cropCell';
import { type HarvestGround } from './picksIn';
import { readAmountCell } from './readAmountCell';
import { ownId, plainWords } from './readCells';
import { type RowFault, type TableSpec } from './readTable';

export type GardenColumn = 'name' | 'crop' | 'count' | 'unit' | 'first' | 'peak' | 'last' | 'usual' | 'id';
export type GardenRow = Omit<Planting, 'id'>;

/** When nothing is told a bed is picked in summer, as a new one begins on the screen; the household mends it there. */
const USUAL_WEEKS = { first: 30, peak: 34, last: 39 } as const;
const MOST_COUNT = 10_000;

const UNIT_NAMES: Readonly<Record<string, PlantingUnit>> = {
  ...Object.fromEntries(PLANTING_UNITS.map((unit) => [plainWords(unit), unit])),
  ...{ plant: 'plants', bush: 'plants', bushes: 'plants', tree: 'trees' },
  ...{ ft: 'row-feet', feet: 'row-feet', 'row feet': 'row-feet', 'row foot': 'row-feet', 'row ft': 'row-feet' },
};

/** Beds, rows and trees. */
export function gardenIn({ units, crops }: HarvestGround): TableSpec<GardenColumn, GardenRow> {
  return {
    name: 'garden',
    columns: {
      name: { names: ['bed', 'name', 'row', 'where', 'place'] },
      crop: { names: ['crop', 'plant', 'variety', 'produce', 'what'], needed: true },
      count: {
        names: ['count', 'number', 'how many', 'quantity', 'qty', 'plants', 'trees', 'length', 'feet'],
        needed: true,
      },
      unit: { names: ['unit', 'counted in', 'units'] },
      first: { names: ['first week', 'first', 'from week', 'start'] },
      peak: { names: ['fullest week', 'fullest', 'peak week', 'peak'] },
      last: { names: ['last week', 'last', 'to week', 'end'] },
      usual: { names: ['usual', 'usual yield', 'a year', 'expected'] },
      id: { names: ['id'] },
    },
    read: ({ cell, head }) => {
      const faults: RowFault<GardenColumn>[] = [];
      const { crop, meant } = cropOf(cell('crop'), crops);
      if (!crop) faults.push({ column: 'crop', says: cropSays(cell('crop')), ...(meant && { meant }) });
      const count = readNumber(cell('count'));
      if (count.kind === 'unreadable' || count.value <= 0 || count.value > MOST_COUNT)
        faults.push({ column: 'count', says: 'must be a number above 0' });
      const unit = unitOf(cell('unit'), head('count')) ?? (crop && harvestYieldRow(crop).usual);
      if (cell('unit') !== '' && unitOf(cell('unit'), '') === undefined)
        faults.push({ column: 'unit', says: 'must be plants, row-feet or trees' });
      const weeks = (['first', 'peak', 'last'] as const).map((column) => {
        const typed = cell(column);
        const week = readNumber(typed);
        if (typed === '') return undefined;
        if (week.kind === 'number' && Number.isInteger(week.value) && week.value >= 1 && week.value <= 52)
          return week.value;
        faults.push({ column, says: 'must be a week of the year, 1 to 52' });
        return undefined;
      });
      const usual =
        crop && cell('usual') !== ''
          ? readAmountCell(cell('usual'), { head: head('usual'), unit: '' }, crop, units)
          : undefined;
      if (usual?.kind === 'fault') faults.push({ column: 'usual', says: usual.says });
      if (faults.length > 0 || !crop || !unit || count.kind !== 'number') return faults;
      const [first = USUAL_WEEKS.first, told, last = Math.max(first, USUAL_WEEKS.last)] = weeks;
      const peak = told ?? Math.round((first + last) / 2);
      const name = (cell('name') || cell('crop')).slice(0, 40);
      const row: GardenRow = {
        ...{ name, crop, count: count.value, unit },
        ...{ firstWeek: first, peakWeek: Math.min(Math.max(peak, first), last), lastWeek: last },
        usualKg: usual?.kind === 'mass' ? usual.massKg : null,
      };
      return { row, words: [name, crop, count.value, unit].join('|'), ...ownId(cell('id')) };
    },
  };
}

function unitOf(typed: string, head: string): PlantingUnit | undefined {
  return UNIT_NAMES[plainWords(typed)] ?? (typed === '' ? UNIT_NAMES[plainWords(head)] : undefined);
}
