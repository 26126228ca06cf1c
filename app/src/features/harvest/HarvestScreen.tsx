import { produceRow } from '@hoddle/core/handbook/produce';
import { useRouter } from 'expo-router';
import { Pressable, View } from 'react-native';
import { useHouseholdStore } from '@/store/householdStore';
import { useHousehold, useNow } from '@/store/useHousehold';
import { clockTime, dayAndDate } from '@/ui/clockWords';
import { Key } from '@/ui/Key';
import { Screen } from '@/ui/Screen';
import { Heading, Words } from '@/ui/Words';
import { CropRow } from './CropRow';
import { PLACE_WORDS } from './keepingWords';
import { useOnHand } from './useOnHand';

/** What is on hand and what came in lately. */
export function HarvestScreen() {
  const router = useRouter();
  const crops = useOnHand();
  const now = useNow(60_000);
  const { picks, batches } = useHousehold();
  const enter = useHouseholdStore((store) => store.enter);
  const used = new Set(batches.flatMap(({ uses }) => uses.map((use) => use.pickId)));
  const latest = [...picks].sort((a, b) => b.pickedAt - a.pickedAt).slice(0, 6);
  return (
    <Screen
      station="harvest"
      title="Harvest"
      note={crops.length === 0 ? 'Nothing on hand.' : 'On hand, the next to spoil first'}
      foot={<Key words="What came in?" tall onPress={() => router.navigate('/harvest/pick')} />}
    >
      <View className="max-w-[640px]">
        {crops.map((item) => (
          <CropRow key={item.crop} item={item} now={now} />
        ))}
        {crops.length === 0 && (
          <Words className="py-4">
            Write down the first basket, and Hoddle says what it makes and how long it keeps.
          </Words>
        )}
        {latest.length > 0 && <Heading className="pb-1 pt-5">Picked lately</Heading>}
        {latest.map((pick) => (
          <View key={pick.id} className="min-h-[56px] flex-row items-center gap-3 border-t border-hair py-1">
            <View className="flex-1">
              <Words weight={600}>
                {pick.told} {produceRow(pick.crop).name.toLowerCase()}
              </Words>
              <Words size="small" tone="ink-2">
                {dayAndDate(pick.pickedAt)}, {clockTime(pick.pickedAt)}. {PLACE_WORDS[pick.place]}.
              </Words>
            </View>
            {used.has(pick.id) ? (
              <Words size="small" tone="ink-2">
                in a batch
              </Words>
            ) : (
              <Pressable
                role="button"
                aria-label={`Strike out ${pick.told} ${produceRow(pick.crop).name.toLowerCase()}`}
                onPress={() => enter({ kind: 'pick-struck', pickId: pick.id })}
                className="min-h-[48px] items-center justify-center px-2"
              >
                <Words tone="cobalt" weight={700}>
                  Strike out
                </Words>
              </Pressable>
            )}
          </View>
        ))}
      </View>
    </Screen>
  );
}
