import { clashId } from '@hoddle/contract/clashId';
import { type JarLot, type Movement } from '@hoddle/core/pantry/jarLot';
import { openClashes } from '@hoddle/core/pantry/clash';
import { useMemo } from 'react';
import { useHouseholdStore } from '@/store/householdStore';

/** Jars that two hands took, told on every screen until somebody has looked; what this device still has to answer itself is not. */
export function useClashes() {
  const state = useHouseholdStore((store) => store.state);
  const refused = useHouseholdStore((store) => store.refused);
  return useMemo(() => {
    const own = new Set(
      refused.flatMap(({ write }) => (write.kind === 'movement' ? [clashId(write.movement.id)] : [])),
    );
    if (!state) return [];
    return openClashes(state.movements as Movement[]).flatMap((movement) => {
      const lot = (state.lots as JarLot[]).find(({ id }) => id === movement.lotId);
      return lot && !own.has(movement.id) ? [{ movement, lot }] : [];
    });
  }, [state, refused]);
}
