import * as v from 'valibot';
import { BatchSchema } from './batch';
import { BatchRecordSchema } from './batchRecord';
import { CheckedRow } from './checkedRow';
import { DayEventSchema } from './dayEvent';
import { GardenLookSchema, PlantingSchema } from './garden';
import { Household } from './household';
import { HouseholdSourceSchema } from './householdSource';
import { JarLotSchema, MovementSchema } from './jarLot';
import { KitchenEventSchema } from './kitchenEvent';
import { LotChangeSchema } from './lotChange';
import { OwnMeasureSchema } from './ownMeasure';
import { PickSchema } from './pick';

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
  lots: v.array(JarLotSchema),
  movements: v.array(MovementSchema),
  checkedRows: v.array(CheckedRow),
  sources: v.array(HouseholdSourceSchema),
});
export type HouseholdState = v.InferOutput<typeof HouseholdState>;
