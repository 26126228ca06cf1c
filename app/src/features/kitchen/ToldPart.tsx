import { type KitchenEvent } from '@hoddle/core/kitchen/kitchenEvent';
import { View } from 'react-native';
import { clockTime } from '@/ui/clockWords';
import { Words } from '@/ui/Words';
import { type RunningLoad } from '@/household/kitchen/useLoad';

/** What was written down of a load: taps that did not fit, and a boil that came sooner than can be. */
export function ToldPart({ running: { state } }: { running: RunningLoad }) {
  const lines = [
    ...state.soonBoils.map(({ id, at }) => ({
      id,
      at,
      words: 'Told as boiling sooner than is usual; the cook was sure.',
    })),
    ...state.outOfPlace.map((event) => ({ ...event, words: outOfPlaceWords(event) })),
  ].sort((a, b) => b.at - a.at);
  if (lines.length === 0) return null;
  return (
    <View role="list" aria-label="Written down">
      {lines.slice(0, 5).map(({ id, at, words }) => (
        <View key={id} role="listitem" className="flex-row gap-3 border-t-2 border-granite-line py-2">
          <Words weight={700} tone="milk" className="w-[84px]">
            {clockTime(at)}
          </Words>
          <Words tone="milk" className="flex-1">
            {words}
          </Words>
        </View>
      ))}
    </View>
  );
}

function outOfPlaceWords(event: KitchenEvent): string {
  const what = event.type.replaceAll('-', ' ');
  if (event.type === 'taken-back') return 'An undo came too late, or would have cut the time: the longer time counts.';
  if (event.type === 'boil-reached') return '“It boils” came sooner than can be: it did not count.';
  return `“${what}” did not fit where the load stood: the longer time counts.`;
}
