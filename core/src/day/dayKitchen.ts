import { type Canner, type OwnJar } from '../canner/canner';
import { type Batch, type PlannedLoad } from './batch';
import { type ErrandsTold } from './errand';
import { type KitchenSetup } from './kitchenSetup';

/** Which canner each load goes into, by load id. */
export type Assignment = ReadonlyMap<string, string>;

/** The kitchen that a day is laid out for, and what it has shown of itself. */
export interface DayKitchen {
  readonly setup: KitchenSetup;
  readonly canners: readonly Canner[];
  /** Jars the household measured itself. */
  readonly ownJars?: readonly OwnJar[];
  /** Minute of the day at which the plan begins. */
  readonly startMinute: number;
  /** Day of the week at minute 0, 0 Sunday: what is done on some weekdays only is done then. */
  readonly weekday?: number;
  /** What was told of errands for these dates alone. */
  readonly errands?: ErrandsTold;
  /** Minutes each canner has really taken to the boil or to pressure, by `heatUpKey`, newest last. */
  readonly heatUpsTaken?: ReadonlyMap<string, readonly number[]>;
  /** Minutes from heat off until the jars came out, as really taken, by `heatUpKey`, newest last. */
  readonly restsTaken?: ReadonlyMap<string, readonly number[]>;
  /** Hands-on minutes of a step against the handbook's, by step, where the household's own pace is known. */
  readonly paces?: ReadonlyMap<string, number>;
  /** Minute of the plan by which the produce of a batch must be taken in hand, or it spoils; by batch id. */
  readonly useBy?: ReadonlyMap<string, number>;
  /** Batches of a later day that is planned together with the first one, by their ids. */
  readonly later?: ReadonlyMap<string, Later>;
  /** Which canner a load goes into; what the batch says unless it is told here. */
  readonly cannerOf?: Assignment;
}

/** When a batch of a later day of the plan may begin. */
export interface Later {
  /** Days after the first one. */
  readonly days: number;
  /** Minute of the plan before which nothing of it is begun. */
  readonly fromMin: number;
}

/** How many days after the first one a batch belongs to. */
export function daysLater(batchId: string, { later }: Pick<DayKitchen, 'later'>): number {
  return later?.get(batchId)?.days ?? 0;
}

/** The id of the task in which a canner's water is heated: once a day, since a night cools it. */
export function waterId(cannerId: string, days = 0): string {
  return days === 0 ? `preheat ${cannerId}` : `preheat ${cannerId} ${days}`;
}

/** The canner a load goes into. @throws RangeError when the kitchen has none like it */
export function cannerFor(batch: Batch, load: PlannedLoad, { canners, cannerOf }: DayKitchen): Canner {
  const id = cannerOf?.get(load.id) ?? load.cannerId ?? batch.cannerId;
  const canner = canners.find((other) => other.id === id);
  if (!canner) throw new RangeError(`no canner ${JSON.stringify(id)} for load ${JSON.stringify(load.id)}`);
  return canner;
}

/** The household's own pace at a step, or what it says of itself, or the handbook's. */
export function paceOf(step: string, { paces, setup }: DayKitchen): number {
  return paces?.get(step) ?? setup.handsPace ?? 1;
}
