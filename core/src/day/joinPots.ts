import { sumUses } from '../harvest/usesOf';
import { productRow } from '../handbook/products';
import { type Batch, type LoadSize, type PlannedLoad } from './batch';

/** Why two pots may not be joined: what differs between them, in words; undefined where they are of one card and one way. */
export function joinFault(pot: Batch, other: Batch): string | undefined {
  if (pot.id === other.id || pot.againOf !== undefined || other.againOf !== undefined) return 'They are not two pots.';
  if (pot.from || other.from) return 'What begins with another pot is joined with that pot.';
  const isSame = (of: (batch: Batch) => unknown) => JSON.stringify(of(pot)) === JSON.stringify(of(other));
  const isOneCard = isSame(({ product, recipe, pack, without = [] }) => [product, recipe, pack, without]);
  if (!isOneCard) return 'They are made by different cards.';
  if (!productRow(pot.product).mayDouble) return 'It is made one batch at a time: a larger pot was not tested.';
  if (!isSame(({ method, altitudeFt }) => [method, altitudeFt])) return 'Their jars are processed in different ways.';
  if (!isSame(({ gives = [] }) => gives)) return 'Something is taken off one of them, and nothing off the other.';
  return undefined;
}

/**
 * Two pots as one batch: the produce of both, and all their loads, each with its own jars, minutes and canner; the second
 * one's come after. They are measured, sealed and written down together.
 */
export function joinedPots(pot: Batch, other: Batch): Batch {
  const last = Math.max(0, ...pot.loads.map(({ number }) => number));
  const loads = other.loads.map((load, i): PlannedLoad => {
    const size = load.size ?? sizeBeside(pot, other);
    const cannerId = load.cannerId ?? (other.cannerId === pot.cannerId ? undefined : other.cannerId);
    return { ...load, number: last + i + 1, ...(size && { size }), ...(cannerId !== undefined && { cannerId }) };
  });
  return { ...pot, uses: sumUses([...pot.uses, ...other.uses]), loads: [...pot.loads, ...loads] };
}

/** The jars of the second pot beside the first one's, where they are others or are processed for another time. */
function sizeBeside(pot: Batch, { jar, processMinutes, pressurePsi, planned, untested }: Batch): LoadSize | undefined {
  if (jar === pot.jar && processMinutes === pot.processMinutes && pressurePsi === pot.pressurePsi) return undefined;
  return {
    ...{ jar, processMinutes },
    ...(pressurePsi !== undefined && { pressurePsi }),
    ...(planned && { planned }),
    ...(untested !== undefined && { untested }),
  };
}
