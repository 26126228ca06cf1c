import { useRouter } from 'expo-router';
import { OWN_PLAN, useSeasonStore } from '@/store/seasonStore';
import { Key } from '@/ui/Key';
import { Plate } from '@/ui/Plate';
import { Heading, Words } from '@/ui/Words';
import { type Season } from './useSeason';

/** How a planning goes, what it would change, and the way to ask for one. */
export function PlanningPart({ season }: { season: Season }) {
  const router = useRouter();
  const { planning, plan, changes, planNow } = season;
  const stop = useSeasonStore((store) => store.stop);
  if (planning?.state === 'planning') {
    return (
      <Plate className="gap-2">
        <Heading>{plan ? 'Planning again' : 'Planning the season'}</Heading>
        <Words aria-live="polite">
          {Math.round(planning.seconds)} of {planning.asked.seconds} s. {gapWords(planning.worth, planning.bound)}
        </Words>
        <Key look="outline" words="Good enough: stop" onPress={() => stop(OWN_PLAN)} />
      </Plate>
    );
  }
  if (planning?.message !== undefined) {
    return (
      <Plate className="gap-2">
        <Heading>No new plan</Heading>
        <Words role="alert">{planning.message}</Words>
        <Key look="outline" words="Plan again" onPress={() => planNow()} />
      </Plate>
    );
  }
  if (changes && changes.length > 0) {
    return (
      <Plate className="gap-2">
        <Heading>
          Planned again: {changes.length} {changes.length === 1 ? 'change' : 'changes'}
        </Heading>
        <Words>Nothing is changed until you take it.</Words>
        <Key words="See the changes" onPress={() => router.navigate('/plan/changes')} />
      </Plate>
    );
  }
  return (
    <Key look={plan ? 'outline' : 'solid'} words={plan ? 'Plan again' : 'Plan the season'} onPress={() => planNow()} />
  );
}

/** How much better a plan could still be, at most. */
export function gapWords(worth: number | null, bound: number | null): string {
  if (worth === null) return 'Looking at the weeks.';
  if (bound === null) return 'A first plan is there, and it gets better.';
  const percent = Math.max(0, (100 * (bound - worth)) / Math.max(1, Math.abs(bound)));
  return percent < 0.5 ? 'No plan is better.' : `No plan is more than ${Math.ceil(percent)} % better.`;
}
