import { type Batch, jarsWords, nameOf } from '@hoddle/core/day/batch';
import { movesWith } from '@hoddle/core/day/movesWith';
import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { StartPart } from '@/features/process/StartPart';
import { householdNow, useHousehold } from '@/store/useHousehold';
import { clockTime, clockTimeFrom, dayAndDate, weekday } from '@/ui/clockWords';
import { Key } from '@/ui/Key';
import { Screen } from '@/ui/Screen';
import { Words } from '@/ui/Words';
import { type Day, useDay } from './useDay';
import { useDayEnds } from './useDayEnds';
import { useFuseWords } from './useFuseWords';
import { useHasBegun } from './useHasBegun';
import { useMove } from './useMove';

const MINUTE_MS = 60_000;

/** A batch that has not begun is put off to another day, or brought forward: what that does to its produce and to that day. */
export function MoveScreen({ batchId }: { batchId: string }) {
  const day = useDay();
  const hasBegun = useHasBegun();
  const batch = day?.batches.find(({ id }) => id === batchId);
  if (!day || !batch || hasBegun(batch)) {
    return (
      <Screen station="plan" title="Not to be moved" backTo="/plan">
        <Words>It has begun, or is planned no more: what is in hand is not put off.</Words>
      </Screen>
    );
  }
  return <Move day={day} batch={batch} />;
}

function Move({ day, batch }: { day: Day; batch: Batch }) {
  const router = useRouter();
  const move = useMove(day);
  const { batches } = useHousehold();
  const group = useMemo(() => movesWith(batch, batches), [batch, batches]);
  const [startAt, setStartAt] = useState(batch.startAt);
  const drafts = useMemo(() => [{ ...batch, startAt }], [batch, startAt]);
  const [end] = useDayEnds(drafts);
  const spoils = useSpoils(day, batch, startAt);
  const name = nameOf(batch);
  const isPast = startAt < householdNow() - 15 * MINUTE_MS;
  return (
    <Screen
      station="plan"
      title={name}
      note={`Planned for ${dayAndDate(batch.startAt)}`}
      backTo="/plan"
      foot={
        <Key
          tall
          words={`Begin ${weekday(startAt)} at ${clockTime(startAt)}`}
          disabled={startAt === batch.startAt || isPast}
          onPress={() => {
            move(group, startAt);
            router.navigate('/plan');
          }}
        />
      }
    >
      <View className="max-w-[560px] gap-4">
        <Words weight={600}>
          {jarsWords(batch)}, {batch.loads.length} {batch.loads.length === 1 ? 'load' : 'loads'}
        </Words>
        <StartPart startAt={startAt} onStart={setStartAt} />
        {spoils !== undefined && (
          <Words role="alert" weight={700}>
            {spoils}
          </Words>
        )}
        {isPast && <Words role="alert">That is over already.</Words>}
        {group.length > 1 && (
          <Words weight={600}>
            With it{' '}
            {group
              .slice(1)
              .map((other) => nameOf(other).toLowerCase())
              .join(' and ')}
            : they share a canner or a pot.
          </Words>
        )}
        <Words role="status">{endWords(end, startAt)}</Words>
      </View>
    </Screen>
  );
}

/** What of it does not keep until then. */
function useSpoils(day: Day, batch: Batch, startAt: number): string | undefined {
  const fuse = useFuseWords();
  const byMin = day.question.useBy?.get(batch.id);
  if (byMin === undefined || startAt <= day.startAt + byMin * MINUTE_MS) return undefined;
  return `It does not keep so long. ${fuse(day, batch) ?? ''}`;
}

function endWords(end: number | 'none' | undefined, startAt: number): string {
  if (end === undefined) return 'That day: no finish time yet.';
  if (end === 'none') return 'That day cannot be done with it: something there is in its way.';
  return `That day is likely over by ${clockTimeFrom(end, startAt)}.`;
}
