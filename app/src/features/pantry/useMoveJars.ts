import { isSameLot, arrivalOf } from '@hoddle/core/pantry/arrival';
import { type JarLot, type Movement } from '@hoddle/core/pantry/jarLot';
import { v7 as uuidV7 } from 'uuid';
import { useHouseholdStore } from '@/store/householdStore';
import { householdNow, useHousehold } from '@/store/useHousehold';

export type OutKind = 'taken' | 'given' | 'sold' | 'broken' | 'spoiled' | 'discarded';

/** What hands do with jars; each comes back as the movement that was written, to be undone. */
export function useMoveJars() {
  const enter = useHouseholdStore((store) => store.enter);
  const { lots, household } = useHousehold();
  const write = (movement: Movement): Movement => {
    void enter({ kind: 'movement', movement });
    return movement;
  };
  const common = (lot: JarLot, jars: number) => ({ id: uuidV7(), lotId: lot.id, jars, at: householdNow() });
  const across = (lot: JarLot, kind: 'moved' | 'opened', jars: number, toPlace: string): Movement => {
    const movement: Movement = { ...common(lot, jars), kind, intoLotId: uuidV7(), toPlace };
    const arrival = arrivalOf(lot, movement, household.places);
    // The same jars in the same place are one lot, however often they are carried.
    const there =
      arrival.kind === 'lot' && kind === 'moved' ? lots.find((other) => isSameLot(other, arrival.lot)) : undefined;
    return { ...movement, ...(there && { intoLotId: there.id }) };
  };
  return {
    out: (lot: JarLot, kind: OutKind, jars = 1, note?: string) =>
      write({ ...common(lot, jars), kind, ...(note && { note }) }),
    /** A jar that was taken, or lent, stands here again. */
    back: (lot: JarLot, jars: number) => write({ ...common(lot, jars), kind: 'returned' }),
    open: (lot: JarLot) => write(across(lot, 'opened', 1, 'refrigerator')),
    carry: (lot: JarLot, jars: number, toPlace: string) => write(across(lot, 'moved', jars, toPlace)),
    /** Why jars may not go to a place; undefined where they may. */
    refusal: (lot: JarLot, toPlace: string) => {
      const arrival = arrivalOf(lot, across(lot, 'moved', 1, toPlace), household.places);
      return arrival.kind === 'refused' ? arrival.reason : undefined;
    },
    undo: ({ id, lotId, jars }: Movement) =>
      write({ id: uuidV7(), lotId, kind: 'undone', jars, at: householdNow(), undoes: id }),
  };
}
