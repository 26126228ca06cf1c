import { countJars } from '../handbook/jars';
import { sterilizeJars } from '../process/sterilizeJars';
import { type Batch, isCanned, type PlannedLoad } from './batch';
import { BURNERS, type DayTask, WATCH } from './dayProblem';
import { type KitchenSetup } from './kitchenSetup';

/** A pot of jars covered by cold water is at the boil in so long. Common practice. */
const JARS_TO_BOIL = { p10: 10, p50: 15, p90: 25 };
/** Jars that were boiled are filled within this, and kept in their water until then. Common practice. */
export const STERILE_HOLD_MIN = 60;
/** Entry of the boil that makes jars sterile: as much a part of what was tested as the process. */
export const STERILE_JARS = 'sterile-jars';

/** Where the tested time is under 10 minutes a load's jars are boiled before they are filled. Handbook rule 4. */
export function sterileJars(
  batch: Batch,
  load: PlannedLoad,
  ready: DayTask,
  processMinutes: number,
  { bigPots }: KitchenSetup,
): DayTask[] {
  const sterile = isCanned(batch) ? sterilizeJars(processMinutes, batch.altitudeFt) : undefined;
  if (!sterile) return [];
  const { minutes } = sterile;
  const jars = countJars(load.jars, batch.jar);
  // Where there is no big pot they are boiled in what there is.
  const needs = { [BURNERS]: 1, [WATCH]: 1, ...(bigPots > 0 && { 'big pot': 1 }) };
  const own = { kind: 'prepare', batchId: batch.id, loadId: load.id, needs } as const;
  const toTheBoil = `jars to the boil ${load.id}`;
  return [
    {
      ...own,
      id: toTheBoil,
      words: `${jars} to the boil, covered by 1 in`,
      minutes: JARS_TO_BOIL,
      after: [{ task: ready.id }],
    },
    {
      ...own,
      id: `${STERILE_JARS} ${load.id}`,
      entry: STERILE_JARS,
      words: `Boil ${jars} ${minutes} min: sterile`,
      minutes: { p10: minutes, p50: minutes, p90: minutes },
      after: [{ task: toTheBoil, maxLag: 0 }],
    },
  ];
}
