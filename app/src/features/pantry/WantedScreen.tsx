import { JARS } from '@hoddle/core/handbook/jars';
import { productRow } from '@hoddle/core/handbook/products';
import { View } from 'react-native';
import { useHouseholdStore } from '@/store/householdStore';
import { useHousehold, useNow } from '@/store/useHousehold';
import { hueOfProduct } from '@/ui/colours';
import { JarDrawing } from '@/ui/JarDrawing';
import { Key } from '@/ui/Key';
import { RowLink } from '@/ui/RowLink';
import { Screen } from '@/ui/Screen';
import { Words } from '@/ui/Words';
import { aboutWhen, lastsWords } from '@/household/pantry/pantryWords';
import { useForecasts } from '@/household/pantry/usePantry';
import { WantMore } from './WantMore';

/** Every product with what is wanted of it, what its use proposes, and what will be short until the next crop. */
export function WantedScreen() {
  const now = useNow(60_000);
  const { goals } = useHousehold();
  const enter = useHouseholdStore((store) => store.enter);
  const forecasts = [...useForecasts(now)].sort((a, b) => b.short.p50 - a.short.p50 || b.perMonth - a.perMonth);
  const goalOf = (each: { product: string; jar: string }) =>
    goals.find(({ product, jar }) => product === each.product && jar === each.jar);
  const differing = forecasts.filter((each) => each.proposedGoal > 0 && goalOf(each)?.jars !== each.proposedGoal);
  const takeAll = () => {
    for (const { product, jar, proposedGoal } of differing) {
      const { perMonth = null, priority = 'want' } = goalOf({ product, jar }) ?? {};
      void enter({ kind: 'goal', goal: { product, jar, jars: proposedGoal, perMonth, priority } });
    }
  };
  return (
    <Screen
      station="shelf"
      title="Wanted for a year"
      note="proposed from what you use, never more than is eaten in its best time"
      backTo="/shelf"
      bleed
      foot={
        differing.length > 0 && (
          <Key look="outline" words={`Take all ${differing.length} proposals`} onPress={takeAll} />
        )
      }
    >
      <View className="max-w-[720px]">
        {forecasts.length === 0 && (
          <Words className="px-4 pb-3">Jars that are used propose their number here. Until then say it yourself.</Words>
        )}
        {forecasts.map((each) => {
          const goal = goalOf(each)?.jars ?? undefined;
          const { several } = JARS[each.jar];
          return (
            <RowLink
              key={`${each.product} ${each.jar}`}
              href={{ pathname: '/shelf/board', params: { product: each.product, jar: each.jar } }}
              className="min-h-[72px] flex-row items-center gap-3 border-b border-hair px-4 py-2"
            >
              <JarDrawing
                size={each.jar}
                quartPx={44}
                look={each.jars > 0 ? 'here' : 'gap'}
                {...hueOfProduct(each.product)}
              />
              <View className="flex-1">
                <Words weight={700}>{productRow(each.product).name}</Words>
                <Words size="label" tone="ink-2">
                  {each.jars === 0 ? 'none here' : `${each.jars} here, ${lastsWords(each.at, now)}`}
                  {each.nextCropAt !== undefined && `; next crop ${aboutWhen(each.nextCropAt, now)}`}
                </Words>
                {each.short.p50 >= 1 && (
                  <Words size="label" weight={700}>
                    short {Math.round(each.short.p50)} {several}
                  </Words>
                )}
              </View>
              <View className="items-end">
                <Words size="lead" weight={800}>
                  {goal === undefined ? 'not said' : `${goal} ${several}`}
                </Words>
                {goal !== each.proposedGoal && each.proposedGoal > 0 && (
                  <Words size="label" tone="cobalt" weight={700}>
                    use says {each.proposedGoal}
                  </Words>
                )}
              </View>
            </RowLink>
          );
        })}
        <View className="p-4">
          <WantMore />
        </View>
      </View>
    </Screen>
  );
}
