import { isHeldToTheTable, type KitchenEvent } from '@hoddle/core/kitchen/kitchenEvent';
import { boilIsTooSoon, TAKE_BACK_MS } from '@hoddle/core/kitchen/loadState';
import { useState } from 'react';
import { v7 as uuidV7 } from 'uuid';
import { useHouseholdStore } from '@/store/householdStore';
import { householdNow, useHousehold, useNow } from '@/store/useHousehold';
import { useSingleTap } from '@/ui/useSingleTap';
import { type RunningLoad } from './useLoad';

/** What a tap tells beside its id, its load and its time. */
export type Tap =
  | { readonly type: 'boil-reached'; readonly sure?: true }
  | { readonly type: 'boil-seen' | 'boil-lost' | 'heat-off' | 'venting-started' | 'pressure-down' | 'jars-out' }
  | { readonly type: 'jars-left'; readonly jars: number }
  | { readonly type: 'machine-started'; readonly minutes: number }
  | { readonly type: 'taken-back'; readonly eventId: string; readonly sure?: true };

export interface LoadTaps {
  readonly tap: (tap: Tap) => void;
  /** "It boils" came sooner than can be: so many milliseconds after the jars went in. */
  readonly tooSoonMs?: number;
  readonly answer: (sure: boolean) => void;
}

/** The taps of one load: each once, with its own time; what cannot be is asked first. */
export function useLoadTaps({ load, order, state }: RunningLoad): LoadTaps {
  const enter = useHouseholdStore((store) => store.enter);
  const [tooSoonMs, setTooSoonMs] = useState<number>();
  const tell = (tap: Tap) => {
    const tested = isHeldToTheTable(tap) ? { tested: order.processMinutes } : {};
    const event = { id: uuidV7(), loadId: load.id, at: householdNow(), ...tap, ...tested } as KitchenEvent;
    void enter({ kind: 'event', event });
  };
  const tap = useSingleTap((told: Tap) => {
    const now = householdNow();
    if (told.type === 'boil-reached' && !told.sure && boilIsTooSoon(order, state, now)) {
      setTooSoonMs(now - (state.ventAt ?? state.startedAt ?? now));
    } else tell(told);
  });
  const answer = useSingleTap((sure: boolean) => {
    setTooSoonMs(undefined);
    if (sure) tell({ type: 'boil-reached', sure: true });
  });
  return { tap, answer, ...(tooSoonMs !== undefined && { tooSoonMs }) };
}

/** The last tap of a load, while it may still be a slip of the finger. */
export function useLastTap(loadId: string): KitchenEvent | undefined {
  const { events } = useHousehold();
  const now = useNow(1_000);
  const own = events.filter((event) => event.loadId === loadId);
  const last = own.reduce<KitchenEvent | undefined>(
    (best, event) => (best && best.at >= event.at ? best : event),
    undefined,
  );
  if (!last || last.type === 'taken-back' || last.type === 'seal-checked') return undefined;
  return now - last.at < TAKE_BACK_MS ? last : undefined;
}
