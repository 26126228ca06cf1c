import * as v from 'valibot';
import { BatchSchema } from './batch';
import { BatchRecordSchema } from './batchRecord';
import { CheckedRow } from './checkedRow';
import { DayEventSchema } from './dayEvent';
import { GardenLookSchema, PlantingSchema } from './garden';
import { Household } from './household';
import { HouseholdSourceSchema } from './householdSource';
import { HardwareCountSchema, HardwareMoveSchema } from './hardware';
import { MovementSchema, ShelfLotSchema } from './jarLot';
import { KitchenEventSchema } from './kitchenEvent';
import { LoadCurveSchema } from './instrument';
import { LotChangeSchema } from './lotChange';
import { OwnRecipeSchema } from './ownRecipe';
import { OwnMeasureSchema } from './ownMeasure';
import { PickSchema } from './pick';
import { NO_SEASON, SeasonSchema } from './season';
import { ShelfGoalSchema } from './shelfGoal';
import { UseRecordSchema } from './useRecord';

/** The reply of `GET /api/state`: all that a screen needs to work without the server. */
export const HouseholdState = v.object({
  /** The server's time; with a demo clock its offset is in it already. */
  now: v.number(),
  /** Milliseconds the demo clock is ahead; null for a real household. */
  demoOffsetMs: v.nullable(v.number()),
  household: Household,
  picks: v.array(PickSchema),
  lotChanges: v.array(LotChangeSchema),
  plantings: v.array(PlantingSchema),
  gardenLooks: v.array(GardenLookSchema),
  ownMeasures: v.array(OwnMeasureSchema),
  batchRecords: v.array(BatchRecordSchema),
  batches: v.array(BatchSchema),
  events: v.array(KitchenEventSchema),
  dayEvents: v.array(DayEventSchema),
  /** What instruments told of loads, thinned. */
  curves: v.optional(v.array(LoadCurveSchema), []),
  /** The household's own number: it is in the codes on its lids. */
  mark: v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(0x7f_ff_ff_ff)),
  /** Lots with jars in them, or that were touched lately, and those their jars came from. */
  lots: v.array(ShelfLotSchema),
  /** Of the last weeks; older ones are added up in the lots. */
  movements: v.array(MovementSchema),
  use: v.array(UseRecordSchema),
  goals: v.array(ShelfGoalSchema),
  hardwareMoves: v.array(HardwareMoveSchema),
  hardware: v.array(HardwareCountSchema),
  season: v.optional(SeasonSchema, NO_SEASON),
  checkedRows: v.array(CheckedRow),
  sources: v.array(HouseholdSourceSchema),
  /** Recipes of its own, page by page: of a changed one the older pages too, for what was made by them. */
  recipes: v.optional(v.array(OwnRecipeSchema), []),
});
export type HouseholdState = v.InferOutput<typeof HouseholdState>;
