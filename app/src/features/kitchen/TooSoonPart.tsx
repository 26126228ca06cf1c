import { isPressure } from '@hoddle/core/canner/canner';
import { View } from 'react-native';
import { duration } from '@/ui/clockWords';
import { Words } from '@/ui/Words';
import { KitchenKey } from '@/ui/KitchenKey';
import { type RunningLoad } from '@/household/kitchen/useLoad';
import { type LoadTaps } from '@/household/kitchen/useLoadTaps';

/** "It boils" sooner than can be: a full boil, or a canner that has vented for ten minutes, is what the tested time counts from. */
export function TooSoonPart({ running, taps }: { running: RunningLoad; taps: LoadTaps }) {
  const { tooSoonMs = 0 } = taps;
  const { batch, state } = running;
  const ago = tooSoonMs < 60_000 ? `${Math.round(tooSoonMs / 1_000)} s` : duration(tooSoonMs);
  const pressure = isPressure(batch.method);
  const since = pressure && state.ventAt !== undefined ? 'it began to vent' : 'the jars went in';
  return (
    <View role="alert" className="gap-3">
      <Words size="head" weight={700} tone="milk">
        {pressure ? `Vented 10 min? It is ${ago} since ${since}.` : `Sure? It is ${ago} since ${since}.`}
      </Words>
      <Words size="lead" tone="milk">
        {pressure
          ? 'Air that stays inside keeps it too cool. Venting takes its full ten minutes.'
          : 'The time counts from a full rolling boil with the jars in.'}
      </Words>
      <KitchenKey look="milk" words="Not yet" onPress={() => taps.answer(false)} />
      <KitchenKey
        look="outline"
        words={pressure ? 'It has vented and is at pressure' : 'It boils fully'}
        onPress={() => taps.answer(true)}
      />
    </View>
  );
}
