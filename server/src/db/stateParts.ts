import { type HouseholdState } from '@hoddle/contract/householdState';
import { hardwareStock } from '@hoddle/core/pantry/hardwareStock';
import { lidsByLoad } from '@hoddle/core/pantry/lidsByLoad';
import { type PantryBook } from './pantryBook';
import { batchesOf, dayEventOf, eventOf, hardwareOf, pickOf, seasonOf, settingsOf } from './rowForms';
import { type Rows, type RowsOf, type TableName } from './rowStore';
import { householdRow } from './householdRow';

/** Parts of what a screen is told, the time apart. */
export type Part = Exclude<keyof HouseholdState, 'now'>;

interface Ground {
  readonly rows: Rows;
  readonly pantry: PantryBook;
  readonly now: number;
}

interface PartRule {
  /** It is as it was while nothing was written here. */
  readonly of: readonly TableName[];
  /** It is of the last weeks: worked out anew by the hour. */
  readonly ages?: true;
  readonly make: (ground: Ground) => unknown;
}

const by =
  <Row extends object>(column: keyof Row) =>
  (a: Row, b: Row) =>
    a[column] < b[column] ? -1 : Number(a[column] > b[column]);

/** Rows in order; among equals as SQLite had them, in the order they came. */
function sorted<Name extends TableName>(rows: Rows, name: Name, column: keyof RowsOf<Name>): RowsOf<Name>[] {
  return [...(rows[name] as ReadonlyMap<string, RowsOf<Name>>).values()].sort(by<RowsOf<Name>>(column));
}

const plain = <Name extends TableName>(of: Name, column: keyof RowsOf<Name>): PartRule => ({
  of: [of],
  make: ({ rows }) => sorted(rows, of, column),
});

const PANTRY = ['lots', 'movements', 'households'] as const;

/** How each part is made of the rows. */
export const PARTS: { readonly [Name in Part]: PartRule } = {
  demoOffsetMs: { of: ['households'], make: ({ rows }) => householdRow(rows).demoOffsetMs },
  mark: { of: ['households'], make: ({ rows }) => householdRow(rows).mark },
  household: { of: ['households', 'canners'], make: ({ rows }) => settingsFrom(rows) },
  picks: { of: ['picks'], make: ({ rows }) => sorted(rows, 'picks', 'pickedAt').map(pickOf) },
  lotChanges: plain('lotChanges', 'at'),
  plantings: plain('plantings', 'name'),
  gardenLooks: plain('gardenLooks', 'at'),
  ownMeasures: plain('ownMeasures', 'crop'),
  batchRecords: plain('batchRecords', 'madeAt'),
  batches: {
    of: ['batches', 'uses', 'loads'],
    make: ({ rows }) =>
      batchesOf(sorted(rows, 'batches', 'startAt'), [...rows.uses.values()], sorted(rows, 'loads', 'number')),
  },
  events: { of: ['events'], make: ({ rows }) => sorted(rows, 'events', 'at').map(eventOf) },
  dayEvents: { of: ['dayEvents'], make: ({ rows }) => sorted(rows, 'dayEvents', 'at').map(dayEventOf) },
  curves: plain('curves', 'startAt'),
  lots: { of: PANTRY, ages: true, make: ({ pantry, now }) => pantry.told(now).lots },
  movements: { of: PANTRY, ages: true, make: ({ pantry, now }) => pantry.told(now).movements },
  use: { of: PANTRY, ages: true, make: ({ pantry, now }) => pantry.all.useRecords(now) },
  goals: plain('goals', 'product'),
  hardwareMoves: { of: ['hardwareMoves'], make: ({ rows }) => sorted(rows, 'hardwareMoves', 'at').map(hardwareOf) },
  hardware: {
    of: ['hardwareMoves', 'events', 'lots', 'movements'],
    make: ({ rows, pantry }) =>
      hardwareStock(
        sorted(rows, 'hardwareMoves', 'at').map(hardwareOf),
        (id) => pantry.all.lot(id),
        pantry.all.allMovements(),
        lidsByLoad(sorted(rows, 'events', 'at').map(eventOf)),
      ),
  },
  season: {
    of: ['households', 'shoppingTicks'],
    make: ({ rows }) => ({
      ...seasonOf(householdRow(rows)),
      ticked: sorted(rows, 'shoppingTicks', 'key').map(({ key }) => key),
    }),
  },
  checkedRows: plain('checkedRows', 'rowId'),
  sources: plain('sources', 'title'),
  recipes: {
    of: ['ownRecipes'],
    make: ({ rows }) =>
      sorted(rows, 'ownRecipes', 'revision')
        .sort(by<RowsOf<'ownRecipes'>>('name'))
        .map(({ page }) => page),
  },
};

/** Its settings, as `PUT /api/household` takes them. */
export function settingsFrom(rows: Rows) {
  const canners = sorted(rows, 'canners', 'position').map(({ position: _, ...canner }) => canner);
  return { ...settingsOf(householdRow(rows)), canners };
}
