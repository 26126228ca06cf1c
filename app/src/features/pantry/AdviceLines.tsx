import { placeOf } from '@hoddle/core/pantry/place';
import { type StockedLot } from '@hoddle/core/pantry/shelf';
import { takeAdvice } from '@hoddle/core/pantry/takeAdvice';
import { View } from 'react-native';
import { useHousehold } from '@/store/useHousehold';
import { dayAndDate, monthAndYear } from '@/ui/clockWords';
import { Words } from '@/ui/Words';
import { usePantry } from '@/household/pantry/usePantry';

/** What is said before a jar is taken: an older one first, not ready yet, past its days. */
export function AdviceLines({ lot, now }: { lot: StockedLot; now: number }) {
  const { stocked, codeOf } = usePantry();
  const { household } = useHousehold();
  const { olderFirst, notReadyUntil, pastUse } = takeAdvice(lot, stocked, now);
  if (!olderFirst && notReadyUntil === undefined && !pastUse) return null;
  return (
    <View role="alert" className="gap-1">
      {olderFirst && (
        <Words weight={700}>
          An older one first: made {monthAndYear(olderFirst.madeAt)}, code {codeOf(olderFirst)},{' '}
          {placeOf(household.places, olderFirst.place).name}.
        </Words>
      )}
      {notReadyUntil !== undefined && (
        <Words weight={700}>Not ready: it is at its best from {dayAndDate(notReadyUntil)}.</Words>
      )}
      {pastUse && <Words weight={700}>Past its days in the refrigerator: throw it away, do not taste it.</Words>}
    </View>
  );
}
