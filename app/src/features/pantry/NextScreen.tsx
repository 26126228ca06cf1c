import { View } from 'react-native';
import { useNow } from '@/store/useHousehold';
import { Screen } from '@/ui/Screen';
import { Words } from '@/ui/Words';
import { eatNext } from '@hoddle/core/pantry/eatNext';
import { EatRows } from './EatRows';
import { useForecasts, usePantry } from '@/household/pantry/usePantry';

/** What to eat this week, the most pressing first. */
export function NextScreen() {
  const now = useNow(60_000);
  const { stocked } = usePantry();
  const list = eatNext(stocked, useForecasts(now), now);
  return (
    <Screen station="shelf" title="Eat next, this week" backTo="/shelf" bleed>
      <View className="max-w-[640px] gap-3">
        {list.length === 0 && (
          <Words className="px-4">Nothing presses: no jar is open, unsealed or near its best-by.</Words>
        )}
        <EatRows list={list} now={now} />
        <Words size="label" tone="ink-2" className="px-4">
          Opened and unsealed jars in the refrigerator have the days of their kind: jam a month, pickles two, fruit and
          tomatoes a week, low-acid food and anything with oil three days. Past its days a jar is thrown away untasted.
          Past best on the shelf, sealed: quality falls. When in doubt, throw it out.
        </Words>
      </View>
    </Screen>
  );
}
