import { readDay } from '@hoddle/core/formats/readDay';
import { type JarSize, JARS } from '@hoddle/core/handbook/jars';
import { MOST_JARS } from '@hoddle/core/pantry/jarLot';
import { bestBy } from '@hoddle/core/pantry/keepsUntil';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { v7 as uuidV7 } from 'uuid';
import { useHousehold, useNow } from '@/store/useHousehold';
import { ChipRadio } from '@/ui/ChipRadio';
import { Key } from '@/ui/Key';
import { Screen } from '@/ui/Screen';
import { CountStepper } from '@/ui/CountStepper';
import { TextField } from '@/ui/TextField';
import { Words } from '@/ui/Words';
import { JarChips } from './JarChips';
import { ProductField, productOf } from './ProductField';
import { useJarsIn } from '@/household/pantry/useJarsIn';

/** Jars that stand on the shelf and that nobody wrote down: what, how many, when made, where. */
export function AddScreen() {
  const router = useRouter();
  const now = useNow(60_000);
  const { household } = useHousehold();
  const putIn = useJarsIn();
  const [food, setFood] = useState('');
  const [jar, setJar] = useState<JarSize>('pint');
  const [jars, setJars] = useState(1);
  const [made, setMade] = useState('');
  const [asked, setAsked] = useState(false);
  const shelves = household.places.filter(({ kind }) => kind === 'shelf' || kind === 'aside');
  const [place, setPlace] = useState(shelves[0]?.id ?? 'shelf');
  const product = productOf(food);
  const day = readDay(made, { dayFirst: household.units === 'metric', now, timeZone: household.kitchen.timeZone });
  const save = () => {
    setAsked(true);
    if (!product || day.kind === 'fault') return;
    const madeAt = day.at;
    putIn([{ jars, lot: { id: uuidV7(), product, jar, place, seal: 'sealed', madeAt, keepsUntil: bestBy(madeAt) } }]);
    router.navigate('/shelf');
  };
  return (
    <Screen
      station="shelf"
      title="Jars that stand here"
      backTo="/shelf"
      withoutStations
      foot={
        <View className="gap-2">
          {asked && (!product || day.kind === 'fault') && (
            <Words role="alert" weight={700}>
              {!product
                ? 'What is in them? Choose a product of the handbook.'
                : `When made? "${made}" ${day.kind === 'fault' ? day.says : ''}.`}
            </Words>
          )}
          <Key
            tall
            words={`Put ${jars} ${jars === 1 ? JARS[jar].one : JARS[jar].several} on the shelf`}
            onPress={save}
          />
        </View>
      }
    >
      <View className="max-w-[640px] gap-4">
        <ProductField label="What is in them" words={food} onWords={setFood} wrong={asked && !product} />
        <JarChips jar={jar} onJar={setJar} />
        <CountStepper
          label="Jars"
          count={jars}
          of={jars === 1 ? JARS[jar].one : JARS[jar].several}
          least={1}
          most={MOST_JARS}
          onCount={setJars}
        />
        <TextField
          label="Made, as 2025-09 or Sep 2025"
          value={made}
          onChange={setMade}
          wrong={asked && day.kind === 'fault'}
        />
        <View role="radiogroup" aria-label="Place" className="flex-row flex-wrap gap-2">
          {shelves.map(({ id, name }) => (
            <ChipRadio key={id} words={name} chosen={id === place} onPress={() => setPlace(id)} />
          ))}
        </View>
      </View>
    </Screen>
  );
}
