import { countJars, JARS } from '@hoddle/core/handbook/jars';
import { productRow } from '@hoddle/core/handbook/products';
import { shelfGroups, type ShelfGroup, type StockedLot } from '@hoddle/core/pantry/shelf';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { Pressable, ScrollView, View } from 'react-native';
import { v7 as uuidV7 } from 'uuid';
import { useHouseholdStore } from '@/store/householdStore';
import { householdNow, useHousehold, useNow } from '@/store/useHousehold';
import { dayAndDate, monthAndYear } from '@/ui/clockWords';
import { hueOfProduct } from '@/ui/colours';
import { JarDrawing } from '@/ui/JarDrawing';
import { Key } from '@/ui/Key';
import { Screen } from '@/ui/Screen';
import { useIsWide } from '@/ui/StationBar';
import { Heading, Words } from '@/ui/Words';
import { JarFiles } from './JarFiles';
import { LidsToPress } from './LidsToPress';

const QUART_PX = 62;

/** What is to be eaten first stands first. */
const PLACES = ['refrigerator', 'shelf'] as const;

/** The jars there are, on boards: the oldest in front, one tap takes it. */
export function ShelfScreen() {
  const { lots, movements } = useHousehold();
  const wide = useIsWide();
  const now = useNow(60_000);
  const enter = useHouseholdStore((store) => store.enter);
  const [taken, setTaken] = useState<StockedLot>();
  const groups = shelfGroups(lots, movements);
  const total = groups.reduce((sum, group) => sum + group.jars, 0);
  const move = (lot: StockedLot, kind: 'taken' | 'returned') => {
    enter({ kind: 'movement', movement: { id: uuidV7(), lotId: lot.id, kind, jars: 1, at: householdNow() } });
    setTaken(kind === 'taken' ? lot : undefined);
  };
  return (
    <Screen
      station="shelf"
      title={`${total} ${total === 1 ? 'jar' : 'jars'}`}
      note={total > 0 ? 'The oldest in front. Tap a board to take it.' : undefined}
      bleed
      foot={taken && <Undo lot={taken} onUndo={() => move(taken, 'returned')} />}
    >
      <View className={wide ? 'px-8' : ''}>
        <LidsToPress now={now} />
        {total === 0 && <EmptyShelf />}
        {PLACES.map((place) => {
          const boards = groups.filter((group) => group.place === place);
          if (boards.length === 0) return null;
          return (
            <View key={place}>
              <Heading className="px-4 pt-3">
                {place === 'refrigerator' ? 'In the refrigerator: eat first' : 'On the shelf'}
              </Heading>
              <View className={wide ? 'flex-row flex-wrap' : ''}>
                {boards.map((group) => (
                  <View key={`${group.product} ${group.jar}`} className={wide ? 'w-1/2 justify-end' : ''}>
                    <Board group={group} now={now} onTake={(lot) => move(lot, 'taken')} />
                  </View>
                ))}
              </View>
            </View>
          );
        })}
      </View>
    </Screen>
  );
}

function Board({ group, now, onTake }: { group: ShelfGroup; now: number; onTake: (lot: StockedLot) => void }) {
  const first = group.lots[0];
  if (!first) return null;
  const { name } = productRow(group.product);
  const past = group.lots.filter((lot) => lot.keepsUntil < now).reduce((sum, lot) => sum + lot.jars, 0);
  const cold = group.place === 'refrigerator';
  const keeping = cold
    ? `use by ${dayAndDate(first.keepsUntil)}`
    : past > 0
      ? `${past} past best, quality falling`
      : `best by ${monthAndYear(first.keepsUntil)}`;
  const label = `${name}, ${countJars(group.jars, group.jar)}, ${keeping}. Take one made ${monthAndYear(first.madeAt)}.`;
  return (
    <View>
      <ScrollView horizontal showsHorizontalScrollIndicator={false} contentContainerClassName="px-4 pt-2">
        <JarFiles lots={group.lots} jar={group.jar} quartPx={QUART_PX} now={now} {...hueOfProduct(group.product)} />
      </ScrollView>
      <Pressable
        role="button"
        aria-label={label}
        onPress={() => onTake(first)}
        className="min-h-[64px] flex-row items-center border-t-[4px] border-cobalt bg-plate px-4 py-2"
      >
        <View className="flex-1">
          <Words size="lead" weight={700}>
            {name}
          </Words>
          <Words>
            {countJars(group.jars, group.jar)}
            <Words tone="ink-2">, {keeping}</Words>
          </Words>
        </View>
        <View className="min-h-[48px] items-center justify-center rounded-key border-2 border-cobalt px-3">
          <Words weight={700} tone="cobalt">
            Take 1
          </Words>
        </View>
      </Pressable>
    </View>
  );
}

function Undo({ lot, onUndo }: { lot: StockedLot; onUndo: () => void }) {
  return (
    <View role="status" className="flex-row items-center gap-3">
      <View className="flex-1">
        <Words weight={700}>
          Took 1 {JARS[lot.jar].one} {productRow(lot.product).name.toLowerCase()}
        </Words>
        <Words size="label" tone="ink-2">
          made {monthAndYear(lot.madeAt)}
        </Words>
      </View>
      <Key look="outline" words="Put it back" onPress={onUndo} />
    </View>
  );
}

function EmptyShelf() {
  const router = useRouter();
  return (
    <View>
      <View className="flex-row items-end gap-2 border-b-[4px] border-cobalt px-4 pt-6">
        {(['quart', 'quart', 'quart', 'pint', 'pint', 'pint'] as const).map((size, i) => (
          <JarDrawing key={i} size={size} quartPx={QUART_PX} look="gap" {...hueOfProduct('tomatoes-crushed')} />
        ))}
      </View>
      <View className="gap-3 bg-plate p-4">
        <Words size="lead" weight={700}>
          The first jar stands here.
        </Words>
        <Words tone="ink-2">Write down a basket; Hoddle leads it to the shelf.</Words>
        <Key words="What came in?" onPress={() => router.navigate('/harvest/pick')} />
      </View>
    </View>
  );
}
