import { type Batch } from '@hoddle/core/day/batch';
import { placesFor } from '@hoddle/core/harvest/keeping';
import { type ProduceId } from '@hoddle/core/handbook/produce';
import { v7 as uuidV7 } from 'uuid';
import { useHouseholdStore } from '@/store/householdStore';
import { householdNow, useHousehold } from '@/store/useHousehold';

interface Rest {
  readonly batch: Batch;
  readonly crop: ProduceId | undefined;
  /** As picked. */
  readonly restKg: number;
}

/** Less than this is eaten by whoever stands at the stove. */
const CRUMB_KG = 0.02;

/** Fruit that was measured and did not go in is a lot in the refrigerator: told of the picks it was taken from. */
export function useKeepRest(): (rest: Rest) => void {
  const enter = useHouseholdStore((store) => store.enter);
  const { picks, lotChanges } = useHousehold();
  return ({ batch, crop, restKg }) => {
    if (!crop || !placesFor(crop).includes('refrigerator')) return;
    const uses = batch.uses.filter((use) => use.crop === crop);
    const all = uses.reduce((sum, { massKg }) => sum + massKg, 0);
    for (const { pickId, massKg } of uses) {
      const ownKg = (restKg * massKg) / all;
      const pick = picks.find(({ id }) => id === pickId);
      const moved = lotChanges.filter((change) => change.pickId === pickId && change.kind === 'moved').at(-1);
      const from = moved?.to ?? pick?.place;
      if (ownKg < CRUMB_KG || from === undefined || from === 'refrigerator' || from === 'freezer') continue;
      enter({
        kind: 'lot-change',
        change: {
          id: uuidV7(),
          pickId,
          part: 'sound',
          from,
          kind: 'moved',
          to: 'refrigerator',
          massKg: ownKg,
          at: householdNow(),
        },
      });
    }
  };
}
