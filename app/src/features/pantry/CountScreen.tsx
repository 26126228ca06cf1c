import { corrections, FEWER_REASONS, type FewerReason } from '@hoddle/core/pantry/stocktake';
import { JARS } from '@hoddle/core/handbook/jars';
import { MOST_JARS } from '@hoddle/core/pantry/jarLot';
import { type ShelfGroup, shelfGroups } from '@hoddle/core/pantry/shelf';
import Check from 'lucide-react-native/icons/check';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { v7 as uuidV7 } from 'uuid';
import { useHouseholdStore } from '@/store/householdStore';
import { householdNow, useHousehold } from '@/store/useHousehold';
import { Choice } from '@/ui/Choice';
import { ChipRadio } from '@/ui/ChipRadio';
import { COLOURS, hueOfProduct } from '@/ui/colours';
import { JarDrawing } from '@/ui/JarDrawing';
import { Key } from '@/ui/Key';
import { Screen } from '@/ui/Screen';
import { CountStepper } from '@/ui/CountStepper';
import { Words } from '@/ui/Words';
import { useScanTally } from './scan/scanTally';
import { usePantry } from '@/household/pantry/usePantry';

const REASON_WORDS: Readonly<Record<FewerReason, string>> = {
  taken: 'eaten, no tap',
  given: 'given away',
  broken: 'broken',
  missing: 'nobody knows',
};

/** Walk a shelf and count: a tick where it is as written, a number where it is not; differences get a reason. */
export function CountScreen() {
  const router = useRouter();
  const { household } = useHousehold();
  const { stocked } = usePantry();
  const enter = useHouseholdStore((store) => store.enter);
  const places = household.places.filter(({ id }) => stocked.some((lot) => lot.place === id));
  const scannedPlace = useScanTally((store) => store.place);
  const [chosen, setChosen] = useState<string>();
  const place = chosen ?? scannedPlace ?? places[0]?.id;
  const tally = useScanTally();
  const [typed, setCounted] = useState<Readonly<Record<string, number>>>({});
  const [reason, setReason] = useState<FewerReason>('taken');
  const groups = shelfGroups(stocked.filter((lot) => lot.place === place)).sort((a, b) => a.name.localeCompare(b.name));
  const keyOf = ({ product, jar, name }: ShelfGroup) => `${place} ${product} ${jar} ${name}`;
  // What was held to the camera counts until something else is typed; what was not is not nothing: nobody has looked yet.
  const scanned = Object.fromEntries(
    groups.flatMap((group) => {
      const jars = group.lots.reduce((sum, { id }) => sum + (tally.jars[id] ?? 0), 0);
      return tally.place === place && jars > 0 ? [[keyOf(group), jars] as const] : [];
    }),
  );
  const counted: Readonly<Record<string, number>> = { ...scanned, ...typed };
  const differing = groups.filter((group) => (counted[keyOf(group)] ?? group.jars) !== group.jars);
  const fewer = differing.some((group) => (counted[keyOf(group)] ?? 0) < group.jars);
  const seen = groups.filter((group) => counted[keyOf(group)] !== undefined).length;
  const save = () => {
    const name = places.find(({ id }) => id === place)?.name ?? '';
    for (const group of differing) {
      const written = corrections(group.lots, counted[keyOf(group)] ?? group.jars, reason, {
        at: householdNow(),
        note: `counted, ${name}`.slice(0, 120),
        newId: () => uuidV7(),
      });
      for (const movement of written) void enter({ kind: 'movement', movement });
    }
    tally.clear();
    router.navigate('/shelf');
  };
  return (
    <Screen
      station="shelf"
      title="Count the shelf"
      note={`${seen} of ${groups.length} looked at`}
      backTo="/shelf"
      withoutStations
      foot={
        <View className="gap-2">
          {fewer && (
            <Choice
              label="Why are there fewer?"
              value={reason}
              onChoose={setReason}
              options={FEWER_REASONS.map((value) => ({ value, words: REASON_WORDS[value] }))}
            />
          )}
          <Key
            tall
            words={
              differing.length === 0
                ? 'It is as written'
                : `Write down ${differing.length} ${differing.length === 1 ? 'correction' : 'corrections'}`
            }
            onPress={save}
          />
        </View>
      }
    >
      <View className="max-w-[640px] gap-3">
        <View role="radiogroup" aria-label="Place" className="flex-row flex-wrap gap-2">
          {places.map(({ id, name }) => (
            <ChipRadio key={id} words={name} chosen={id === place} onPress={() => setChosen(id)} />
          ))}
        </View>
        {groups.length > 0 && place !== undefined && (
          <Key
            look="outline"
            words="Scan the jars instead"
            onPress={() => router.navigate({ pathname: '/shelf/scan', params: { for: 'count', place } })}
          />
        )}
        {groups.map((group) => (
          <CountRow
            key={keyOf(group)}
            group={group}
            counted={counted[keyOf(group)]}
            onCount={(jars) => setCounted({ ...typed, [keyOf(group)]: jars })}
          />
        ))}
        {groups.length === 0 && <Words>Nothing stands here, as far as is written.</Words>}
        <Key look="outline" words="There is something else here" onPress={() => router.navigate('/shelf/add')} />
      </View>
    </Screen>
  );
}

function CountRow({
  group,
  counted,
  onCount,
}: {
  group: ShelfGroup;
  counted: number | undefined;
  onCount: (jars: number) => void;
}) {
  const { name } = group;
  const jars = counted ?? group.jars;
  const { one, several } = JARS[group.jar];
  const by = jars - group.jars;
  return (
    <View className="gap-1 border-b border-hair pb-2">
      <View className="flex-row items-center gap-3">
        <JarDrawing size={group.jar} quartPx={40} look="here" {...hueOfProduct(group.product)} />
        <Words weight={700} className="flex-1">
          {name}
        </Words>
        {by !== 0 && <Words weight={700}>{by > 0 ? `${by} more` : `${-by} fewer`}</Words>}
      </View>
      <View className="flex-row gap-2">
        <View className="flex-1">
          <CountStepper
            label={`${name}, ${several} counted`}
            count={jars}
            of={jars === 1 ? one : several}
            most={MOST_JARS}
            onCount={onCount}
          />
        </View>
        <Pressable
          role="checkbox"
          aria-checked={counted === group.jars}
          aria-label={`${name}: ${group.jars} as written`}
          onPress={() => onCount(group.jars)}
          className="h-[52px] w-[60px] items-center justify-center rounded-key border-2 border-cobalt"
          style={counted === group.jars ? { backgroundColor: COLOURS.cobalt } : undefined}
        >
          <Check size={28} strokeWidth={3.4} color={counted === group.jars ? COLOURS.white : COLOURS.cobalt} />
        </Pressable>
      </View>
    </View>
  );
}
