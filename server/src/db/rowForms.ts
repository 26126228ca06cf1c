import * as v from 'valibot';
import { BatchSchema } from '@hoddle/contract/batch';
import { BatchRecordSchema } from '@hoddle/contract/batchRecord';
import { CheckedRow } from '@hoddle/contract/checkedRow';
import { DayEventSchema } from '@hoddle/contract/dayEvent';
import { GardenLookSchema, PlantingSchema } from '@hoddle/contract/garden';
import { HardwareMoveSchema } from '@hoddle/contract/hardware';
import { CannerSchema, Household, KitchenSchema } from '@hoddle/contract/household';
import { HouseholdSourceSchema } from '@hoddle/contract/householdSource';
import { JarLotSchema, MovementSchema } from '@hoddle/contract/jarLot';
import { KitchenEventSchema } from '@hoddle/contract/kitchenEvent';
import { LotChangeSchema } from '@hoddle/contract/lotChange';
import { LoadCurveSchema, NO_INSTRUMENTS } from '@hoddle/contract/instrument';
import { type AnySchema } from '@hoddle/contract/openapi/operation';
import { OwnMeasureSchema } from '@hoddle/contract/ownMeasure';
import { OwnRecipeSchema } from '@hoddle/contract/ownRecipe';
import { PickSchema } from '@hoddle/contract/pick';
import { DaysGivenSchema, SeasonSchema, ShoppingTickSchema } from '@hoddle/contract/season';
import { ShelfGoalSchema } from '@hoddle/contract/shelfGoal';
import { type Batch, type PlannedLoad } from '@hoddle/core/day/batch';
import { USUAL_KITCHEN } from '@hoddle/core/day/kitchenSetup';
import { type Pick, type PickUse } from '@hoddle/core/harvest/pick';
import { type DayEvent } from '@hoddle/core/kitchen/dayEvent';
import { type KitchenEvent } from '@hoddle/core/kitchen/kitchenEvent';
import { USUAL_PLACES } from '@hoddle/core/pantry/place';
import { USUAL_DAYS } from '@hoddle/core/season/problem/givenDays';
import { groupBy } from '@hoddle/core/handbook/groupBy';
import { type HardwareMove } from '@hoddle/core/supplies/hardware';
import { lotOf, movementOf } from './pantryRows';
import {
  type BatchRow,
  type DayEventRow,
  type EventRow,
  type HardwareRow,
  type HouseholdRow,
  type LoadRow,
  type LotRow,
  type MovementRow,
  type OwnRecipeRow,
  type Table,
  type Tables,
  type UseRow,
} from './tables';

/** What a row is to the world outside, and what reading demands of it there. */
interface Form<Row extends object> {
  readonly schema: AnySchema;
  readonly of: (row: Row) => unknown;
}

type RowOf<Name extends keyof Tables> = Tables[Name] extends Table<infer Row> ? Row : never;

const asItIs = <T>(row: T): T => row;
const form = <Row extends object>(schema: AnySchema, of: (row: Row) => unknown = asItIs) =>
  ({ schema, of }) as unknown as Form<never>;

/** A batch's own row, its uses and its loads are each held as far as they go; together they are the batch. */
const { uses: USES, loads: LOADS, ...BATCH } = BatchSchema.entries;
const UseForm = v.object({ batchId: v.string(), ...USES.pipe[0].item.entries });
const LoadForm = v.object({ batchId: v.string(), ...LOADS.pipe[0].item.entries });

export const ROW_FORMS: { readonly [Name in keyof Tables]: Form<never> } = {
  households: form<HouseholdRow>(v.object({ settings: Household, season: SeasonSchema }), (row) => ({
    settings: { ...settingsOf(row), canners: [] },
    season: { ...seasonOf(row), ticked: [] },
  })),
  canners: form(CannerSchema),
  picks: form<Pick>(PickSchema, pickOf),
  lotChanges: form(LotChangeSchema),
  plantings: form(PlantingSchema),
  gardenLooks: form(GardenLookSchema),
  ownMeasures: form(OwnMeasureSchema),
  batchRecords: form(BatchRecordSchema),
  batches: form<BatchRow>(v.object(BATCH), (row) => batchOf(row)),
  uses: form<UseRow>(UseForm, (row) => ({ ...useOf(row), batchId: row.batchId })),
  loads: form<LoadRow>(LoadForm, (row) => ({ ...loadOf(row), batchId: row.batchId })),
  events: form<EventRow>(KitchenEventSchema, eventOf),
  dayEvents: form<DayEventRow>(DayEventSchema, dayEventOf),
  curves: form(LoadCurveSchema),
  lots: form<LotRow>(JarLotSchema, lotOf),
  movements: form<MovementRow>(MovementSchema, movementOf),
  goals: form(ShelfGoalSchema),
  hardwareMoves: form<HardwareRow>(HardwareMoveSchema, hardwareOf),
  shoppingTicks: form(v.object({ key: ShoppingTickSchema.entries.key })),
  checkedRows: form(CheckedRow),
  sources: form(HouseholdSourceSchema),
  ownRecipes: form<OwnRecipeRow>(OwnRecipeSchema, ({ page }) => page),
};

/** Why a row could not be read again, in words, or undefined where it can. */
export function unreadable<Name extends keyof Tables>(table: Name, row: RowOf<Name>): string | undefined {
  const { schema, of } = ROW_FORMS[table] as unknown as Form<never> & { of: (row: RowOf<Name>) => unknown };
  const told = v.safeParse(schema, of(row));
  if (told.success) return undefined;
  const [issue] = told.issues;
  return `${v.getDotPath(issue) ?? 'it'} ${issue.message}`;
}

/** The household's settings without its canners, as `PUT /api/household` takes them. */
export function settingsOf(row: HouseholdRow) {
  const { name, altitudeFt, burners, units, kitchen, ownJars, places, bestMonths, dateOrder, instruments } = row;
  return {
    ...{ name, altitudeFt, burners, units, bestMonths, dateOrder },
    kitchen: kitchen ?? v.parse(KitchenSchema, USUAL_KITCHEN),
    ownJars,
    places: places ?? [...USUAL_PLACES],
    instruments: instruments ?? NO_INSTRUMENTS(),
  };
}

/** The days given and the plan gone by, without what is in the basket. */
export function seasonOf({ seasonDays, seasonPlan, seasonPins }: HouseholdRow) {
  return { days: seasonDays ?? v.parse(DaysGivenSchema, USUAL_DAYS), plan: seasonPlan, pins: seasonPins ?? [] };
}

export function batchOf({
  ingredients,
  pressurePsi,
  againOf,
  recipe,
  without,
  gives,
  from,
  ...batch
}: BatchRow): Omit<Batch, 'uses' | 'loads'> {
  return {
    ...batch,
    ...(pressurePsi !== null && { pressurePsi }),
    ...(ingredients !== null && { ingredients }),
    ...(againOf !== null && { againOf }),
    ...(recipe !== null && { recipe }),
    ...(without !== null && { without }),
    ...(gives && { gives }),
    ...(from && { from }),
  };
}

/** A pick as it was told: most are no leftovers of a batch. */
export function pickOf({ of, ...pick }: Pick): Pick {
  return of ? { ...pick, of } : pick;
}

/** The row of a batch, without what it takes and its loads. */
export function batchRow({ uses: _, loads: __, ...batch }: Batch): BatchRow {
  const { ingredients = null, pressurePsi = null, againOf = null, recipe = null, without = null } = batch;
  const { gives = null, from = null, planned: ___, untested: ____, ...own } = batch;
  return { ...own, ingredients, pressurePsi, againOf, recipe, without, gives, from };
}

/** Batches as they were planned, with what they take and their loads in order. */
export function batchesOf(batches: readonly BatchRow[], uses: readonly UseRow[], loads: readonly LoadRow[]): Batch[] {
  const [usesOf, loadsOf] = [groupBy(uses, ({ batchId }) => batchId), groupBy(loads, ({ batchId }) => batchId)];
  // A batch has a load: one without has lost it to damage, and nobody can do anything with it.
  const whole = batches.filter(({ id }) => loadsOf.has(id));
  return whole.map((batch) => ({
    ...batchOf(batch),
    uses: (usesOf.get(batch.id) ?? []).map(useOf),
    loads: (loadsOf.get(batch.id) ?? []).map(loadOf),
  }));
}

/** What a batch takes of a pick. */
function useOf({ batchId: _, crop, frozenKg, ...use }: UseRow): PickUse {
  return { ...use, ...(crop !== null && { crop }), ...(frozenKg !== null && { frozenKg }) };
}

export function loadOf({ id, number, jars, cannerId, withLoadId, recipe, size }: LoadRow) {
  return {
    ...{ id, number, jars },
    ...(cannerId !== null && { cannerId }),
    ...(withLoadId !== null && { withLoadId }),
    ...(recipe !== null && { recipe }),
    ...(size && { size }),
  };
}

/** The row of a load. */
export function loadRow({ id, number, jars, ...load }: PlannedLoad, batchId: string): LoadRow {
  const { cannerId = null, withLoadId = null, recipe = null, size = null } = load;
  return { id, number, jars, batchId, cannerId, withLoadId, recipe, size };
}

export function eventOf({ id, loadId, type, at, detail }: EventRow): KitchenEvent {
  return { id, loadId, type, at, ...detail } as KitchenEvent;
}

export function dayEventOf({ detail, ...event }: DayEventRow): DayEvent {
  return { ...event, ...detail } as DayEvent;
}

export function hardwareOf({ size, ...move }: HardwareRow): HardwareMove {
  return size === null ? move : { ...move, size };
}
