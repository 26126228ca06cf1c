import { useRouter } from 'expo-router';
import { type Batch, nameOf, jarsWords } from '@hoddle/core/day/batch';
import { useMemo } from 'react';
import { View } from 'react-native';
import { useLoads } from '@/household/kitchen/useLoad';
import { useHousehold } from '@/store/useHousehold';
import { dayAndDate } from '@/ui/clockWords';
import { RowLink } from '@/ui/RowLink';
import { SmallKey } from '@/ui/SmallKey';
import { Heading, Words } from '@/ui/Words';

/** Batches that are out of the canner and not written down yet. */
export function useUnwritten(): Batch[] {
  const { batches, batchRecords } = useHousehold();
  const loads = useLoads();
  return useMemo(() => {
    const written = new Set(batchRecords.map(({ batchId }) => batchId));
    const open = new Set(
      loads.filter(({ state }) => state.phase !== 'cooling' && state.phase !== 'checked').map(({ batch }) => batch.id),
    );
    // What was made of another's pot is told with that one.
    return batches.filter(
      ({ id, againOf, from }) => againOf === undefined && !from && !written.has(id) && !open.has(id),
    );
  }, [batches, batchRecords, loads]);
}

/** What batches made, to be written down while it is fresh; one that was never planned here too. */
export function BatchesToWrite() {
  const router = useRouter();
  const done = useUnwritten();
  return (
    <View className="pt-5">
      <View className="flex-row items-center justify-between gap-3">
        <Heading>What did a batch make?</Heading>
        <SmallKey words="Write one down" onPress={() => router.navigate('/harvest/batch')} />
      </View>
      <Words size="label" tone="ink-2" className="pb-1">
        Every batch written down makes the next estimate yours.
      </Words>
      {done.map((batch) => (
        <RowLink
          key={batch.id}
          href={{ pathname: '/harvest/batch', params: { batch: batch.id } }}
          className="min-h-[56px] justify-center border-t border-hair py-1"
        >
          <Words weight={700} tone="cobalt">
            {jarsWords(batch)} {nameOf(batch).toLowerCase()}
          </Words>
          <Words size="small" tone="ink-2">
            {dayAndDate(batch.startAt)}, not written down yet
          </Words>
        </RowLink>
      ))}
    </View>
  );
}
