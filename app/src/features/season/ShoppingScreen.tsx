import { toCsv } from '@hoddle/core/formats/csv';
import { isoDay } from '@/ui/clockWords';
import { type SeasonReport } from '@hoddle/core/season/report/seasonReport';
import { amountToBuy, shoppingList } from '@hoddle/core/season/report/shoppingList';
import { useRouter } from 'expo-router';
import { useMemo } from 'react';
import { View } from 'react-native';
import { saveText } from '@/household/paper/files';
import { BatchShopping } from '@/household/recipe/BatchShopping';
import { useLearned } from '@/household/yields/useLearned';
import { useHouseholdStore } from '@/store/householdStore';
import { useHousehold, useNow } from '@/store/useHousehold';
import { useUnits } from '@/store/useUnits';
import { CheckRow } from '@/ui/CheckRow';
import { Key } from '@/ui/Key';
import { Screen } from '@/ui/Screen';
import { Heading, Words } from '@/ui/Words';
import { dayShort } from '@/household/season/seasonWords';

/** What to buy for the planned days, to tick in the shop; as CSV, or as text to copy. */
export function ShoppingScreen() {
  const { season, hardware, hardwareMoves, batches: planned, events } = useHousehold();
  const router = useRouter();
  const enter = useHouseholdStore((store) => store.enter);
  const units = useUnits();
  const learned = useLearned();
  const today = isoDay(useNow(60_000));
  const plan = season.plan as SeasonReport | null;
  const all = useMemo(
    () => (plan ? shoppingList(plan, today, hardware, hardwareMoves, learned) : []),
    [plan, today, hardware, hardwareMoves, learned],
  );
  const begun = new Set(events.map(({ loadId }) => loadId));
  const batches = planned.filter(
    ({ startAt, loads }) => isoDay(startAt) >= today && !loads.some(({ id }) => begun.has(id)),
  );
  const items = all.filter(({ toBuy }) => toBuy > 0);
  const enough = all.filter(({ toBuy }) => toBuy === 0);
  const lineOf = (item: (typeof items)[number]) => `${amountToBuy(item, units)} ${item.words}`;
  const save = () => {
    const rows = items.map((item) => [
      item.words,
      amountToBuy(item, units),
      item.neededOn,
      item.here ?? null,
      season.ticked.includes(item.key) ? 'yes' : 'no',
    ]);
    saveText(toCsv(['what', 'amount', 'needed by', 'here', 'bought'], rows), 'hoddle-shopping.csv');
  };
  return (
    <Screen
      station="plan"
      title="Shopping list"
      note={
        plan ? `for ${plan.days.filter(({ day }) => day >= today).length} days, at the 9-in-10 case` : 'no plan yet'
      }
      backTo="/plan/season"
    >
      <View className="max-w-[640px] gap-4">
        {batches.map((batch) => (
          <BatchShopping key={batch.id} batch={batch} />
        ))}
        {!plan && <Words>Plan the season first: the list is of what its days need.</Words>}
        {plan && items.length === 0 && <Words>Nothing is missing for the planned days.</Words>}
        <View className="gap-2">
          {items.map((item) => {
            const ticked = season.ticked.includes(item.key);
            const here = item.here === undefined ? '' : `, ${Math.max(0, item.here)} here`;
            return (
              <CheckRow
                key={item.key}
                words={lineOf(item)}
                note={`by ${dayShort(item.neededOn)}${here}`}
                checked={ticked}
                onPress={() => enter({ kind: 'shopping-tick', key: item.key, ticked: !ticked })}
              />
            );
          })}
        </View>
        {(items.length > 0 || batches.length > 0) && (
          <View className="flex-row flex-wrap gap-2">
            <Key
              look="outline"
              words="Print or send it"
              onPress={() => router.navigate({ pathname: '/paper/[what]', params: { what: 'shopping' } })}
            />
            <Key look="outline" words="As CSV" onPress={save} />
          </View>
        )}
        {enough.length > 0 && (
          <View className="gap-1">
            <Heading>Enough here</Heading>
            {enough.map(({ key, words, needed, here }) => (
              <Words key={key}>
                {words}: {needed} needed, {here} here
              </Words>
            ))}
          </View>
        )}
        <Words size="label" tone="ink-2">
          Vinegar and lemon juice of 5 %, by the label; lemon juice from a bottle. Lids new each time unless they are
          made to be used again.
        </Words>
      </View>
    </Screen>
  );
}
