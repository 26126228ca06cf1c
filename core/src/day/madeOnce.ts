import { isIntoJars } from '../recipe/intoJars';
import { outputRule } from '../recipe/potOutputs';
import { type Batch } from './batch';
import { type DayStep } from './daySequence';
import { isLongWait } from './longWait';

/** The steps of a batch by what they are done for: once for the whole batch, then for each load, then into its jars. */
export function inParts<Step extends DayStep>(
  batch: Pick<Batch, 'loads' | 'gives'>,
  sequence: readonly Step[],
): { readonly once: Step[]; readonly eachLoad: Step[]; readonly intoJars: Step[] } {
  const filling = sequence.findIndex(({ entry }) => isIntoJars(entry));
  const preparing = sequence.slice(0, filling);
  const last = lastMadeOnce(batch, preparing);
  return { once: preparing.slice(0, last + 1), eachLoad: preparing.slice(last + 1), intoJars: sequence.slice(filling) };
}

/**
 * The last step that is made once for the whole batch: a long wait; where something is taken off its pot, all up to there; where
 * one covering liquid goes over several fillings, all before the jars; where steps go on side by side, all up to where they meet.
 */
function lastMadeOnce({ loads, gives = [] }: Pick<Batch, 'loads' | 'gives'>, preparing: readonly DayStep[]): number {
  if (loads.some(({ recipe }) => recipe !== undefined)) return preparing.length - 1;
  const takenOff = gives.map((kind) => outputRule(kind).step);
  const lastTaken = preparing.findLastIndex(({ entry }) => takenOff.includes(entry));
  return Math.max(lastTaken, lastWaited(preparing));
}

function lastWaited(preparing: readonly DayStep[]): number {
  const long = preparing.findLastIndex(({ step }) => isLongWait(step));
  const meeting = preparing.findLastIndex(({ after }) => after !== undefined);
  return long < 0 ? long : Math.max(long, meeting);
}
