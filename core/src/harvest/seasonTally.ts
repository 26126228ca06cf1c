import { type ProduceId } from '../handbook/produce';
import { LOT_ENDS, type LotChange, type LotEnd } from './lotChange';
import { onHand, type TimedUse } from './onHand';
import { type Pick, PICK_SOURCES, type PickSource } from './pick';

/** Where a crop's season has gone, in kilograms: what came in is what went somewhere and what is still here. */
export interface SeasonTally {
  readonly crop: ProduceId;
  readonly cameInKg: number;
  readonly bySource: Readonly<Record<PickSource, number>>;
  /** In batches, done or planned. */
  readonly inJarsKg: number;
  readonly ended: Readonly<Record<LotEnd, number>>;
  readonly onHandKg: number;
  readonly frozenKg: number;
}

/**
 * The tally of what came in from `from` until `until`, crop by crop, the most first. What is on hand of earlier seasons is
 * not in it.
 */
export function seasonTally(
  picks: readonly Pick[],
  uses: readonly TimedUse[],
  changes: readonly LotChange[],
  from: number,
  until: number,
): SeasonTally[] {
  // What a batch left behind came in with its harvest, and counts with it.
  const own = picks.filter(({ pickedAt, of }) => !of && pickedAt >= from && pickedAt < until);
  const lots = onHand(own, uses, changes);
  const crops = [...new Set(own.map(({ crop }) => crop))];
  const tallies = crops.map((crop): SeasonTally => {
    const ofCrop = own.filter((pick) => pick.crop === crop);
    const ids = new Set(ofCrop.map(({ id }) => id));
    const here = lots.filter((lot) => lot.crop === crop);
    const inFreezer = here.filter(({ place }) => place === 'freezer');
    const ofKind = (kind: LotEnd) => mass(changes.filter((change) => ids.has(change.pickId) && change.kind === kind));
    const ofSource = (source: PickSource) => mass(ofCrop.filter((pick) => pick.source === source));
    return {
      crop,
      cameInKg: mass(ofCrop),
      bySource: Object.fromEntries(PICK_SOURCES.map((source) => [source, ofSource(source)])) as SeasonTally['bySource'],
      inJarsKg: mass(uses.filter(({ pickId }) => ids.has(pickId))),
      ended: Object.fromEntries(LOT_ENDS.map((kind) => [kind, ofKind(kind)])) as SeasonTally['ended'],
      onHandKg: mass(here) - mass(inFreezer),
      frozenKg: mass(inFreezer),
    };
  });
  return tallies.sort((a, b) => b.cameInKg - a.cameInKg);
}

function mass(items: readonly { massKg: number }[]): number {
  return items.reduce((sum, { massKg }) => sum + massKg, 0);
}
