import { produceRow } from '@hoddle/core/handbook/produce';
import { useRouter } from 'expo-router';
import { useDeferredValue } from 'react';
import { View } from 'react-native';
import { useNow } from '@/store/useHousehold';
import { useMassWords } from '@/store/useUnits';
import { Key } from '@/ui/Key';
import { Screen } from '@/ui/Screen';
import { useIsWide } from '@/ui/StationBar';
import { Words } from '@/ui/Words';
import { CropRow } from './CropRow';
import { FrozenPart } from './FrozenPart';
import { GardenLink } from './garden/GardenLink';
import { LeftPart } from './LeftPart';
import { LatelyPart } from './LatelyPart';
import { BatchesToWrite } from '@/household/harvest/BatchesToWrite';
import { TallyPart } from './TallyPart';
import { useOnHand } from '@/household/harvest/useOnHand';

/** What is on hand, what the garden will give, what came in lately and where the year went. */
export function HarvestScreen() {
  const router = useRouter();
  const wide = useIsWide();
  const crops = useOnHand();
  const now = useNow(60_000);
  const mass = useMassWords();
  // What is on hand shows at once, even on an old phone; the garden's forecasts follow.
  const rest = useDeferredValue(true, false);
  const first = crops[0]?.lots[0];
  return (
    <Screen
      station="harvest"
      title="Harvest"
      note={
        first
          ? `On hand, the next to spoil first: ${mass(first.massKg)} ${produceRow(first.crop).name.toLowerCase()}`
          : 'Nothing on hand.'
      }
      foot={<Key words="What came in?" tall onPress={() => router.navigate('/harvest/pick')} />}
    >
      <View className={wide ? 'flex-row gap-10' : ''}>
        <View className={wide ? 'flex-1' : ''}>
          {crops.map((item) => (
            <CropRow key={item.crop} item={item} now={now} lotsOpen />
          ))}
          {crops.length === 0 && (
            <Words className="py-4">
              Write down the first basket, and Hoddle says what it makes and how long it keeps.
            </Words>
          )}
          <LeftPart now={now} />
          <FrozenPart now={now} />
        </View>
        <View className={wide ? 'flex-1' : ''}>
          {rest && (
            <>
              <GardenLink now={now} />
              <BatchesToWrite />
              <LatelyPart />
              <TallyPart />
            </>
          )}
        </View>
      </View>
    </Screen>
  );
}
