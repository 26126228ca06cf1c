import { type BestMonths } from '@hoddle/core/pantry/keepsUntil';
import { type PantryPlace, type PlaceKind, USUAL_PLACES } from '@hoddle/core/pantry/place';
import { useState } from 'react';
import { View } from 'react-native';
import { v7 as uuidV7 } from 'uuid';
import { useHouseholdStore } from '@/store/householdStore';
import { useHousehold } from '@/store/useHousehold';
import { Choice } from '@/ui/Choice';
import { Key } from '@/ui/Key';
import { Screen } from '@/ui/Screen';
import { TextField } from '@/ui/TextField';
import { TextKey } from '@/ui/TextKey';
import { Heading, Words } from '@/ui/Words';
import { usePantry } from '@/household/pantry/usePantry';

const KIND_WORDS: Readonly<Record<PlaceKind, string>> = {
  shelf: 'a shelf',
  refrigerator: 'refrigerator',
  freezer: 'freezer',
  aside: 'set aside',
};

/** Where jars stand, what they are set aside for, and how long the household calls them at their best. */
export function PlacesScreen() {
  const { household } = useHousehold();
  const { stocked } = usePantry();
  const enter = useHouseholdStore((store) => store.enter);
  const [name, setName] = useState('');
  const [kind, setKind] = useState<PlaceKind>('shelf');
  const [forDay, setForDay] = useState('');
  const [wrong, setWrong] = useState<string>();
  const { places, bestMonths } = household;
  const save = (part: { places?: PantryPlace[]; bestMonths?: BestMonths }) =>
    enter({ kind: 'household', household: { ...household, ...part } });
  const jarsIn = (id: string) => stocked.filter((lot) => lot.place === id).reduce((sum, { jars }) => sum + jars, 0);
  const add = () => {
    const day = forDay.trim();
    if (name.trim() === '') return setWrong('A place needs a name.');
    if (day !== '' && !/^\d{4}-\d{2}-\d{2}$/.test(day))
      return setWrong(`"${day}" is not a day: write it as 2026-09-12.`);
    setWrong(undefined);
    void save({
      places: [
        ...places,
        { id: uuidV7(), name: name.trim().slice(0, 40), kind, ...(kind === 'aside' && day !== '' && { forDay: day }) },
      ],
    });
    setName('');
    setForDay('');
  };
  return (
    <Screen station="shelf" title="Places" backTo="/shelf">
      <View className="max-w-[640px] gap-4">
        {places.map((place) => (
          <PlaceRow
            key={place.id}
            place={place}
            jars={jarsIn(place.id)}
            onName={(next) =>
              save({ places: places.map((each) => (each.id === place.id ? { ...each, name: next } : each)) })
            }
            onRoom={(room) =>
              save({ places: places.map((each) => (each.id === place.id ? withRoom(each, room) : each)) })
            }
            onStrike={
              USUAL_PLACES.some(({ id }) => id === place.id) || jarsIn(place.id) > 0
                ? undefined
                : () => save({ places: places.filter(({ id }) => id !== place.id) })
            }
          />
        ))}
        <Heading>Another place</Heading>
        <TextField label="Its name" value={name} onChange={setName} wrong={wrong !== undefined && name.trim() === ''} />
        <Choice
          label="What it is"
          value={kind}
          onChoose={setKind}
          options={(['shelf', 'refrigerator', 'freezer', 'aside'] as const).map((value) => ({
            value,
            words: KIND_WORDS[value],
          }))}
        />
        {kind === 'aside' && (
          <TextField label="For which day, as 2026-09-12 (may stay empty)" value={forDay} onChange={setForDay} />
        )}
        {wrong !== undefined && (
          <Words role="alert" weight={700}>
            {wrong}
          </Words>
        )}
        <Key look="outline" words="Add this place" onPress={add} />
        <Heading>Sealed jars are at their best for</Heading>
        <Choice
          label="At their best for"
          value={String(bestMonths) as '12' | '18'}
          onChoose={(value) => save({ bestMonths: value === '18' ? 18 : 12 })}
          options={[
            { value: '12', words: '12 months', note: 'as published' },
            { value: '18', words: '18 months', note: 'as some do' },
          ]}
        />
        <Words tone="ink-2">
          Cool (50 to 70 F), dark and dry. After that a sealed jar is marked past best: its quality falls. It says
          nothing of safety; that comes from the tested time and the acid.
        </Words>
      </View>
    </Screen>
  );
}

function PlaceRow({
  place,
  jars,
  onName,
  onRoom,
  onStrike,
}: {
  place: PantryPlace;
  jars: number;
  onName: (name: string) => void;
  onRoom: (room: number | undefined) => void;
  onStrike?: () => void;
}) {
  const [name, setName] = useState(place.name);
  const changed = name.trim() !== '' && name.trim() !== place.name;
  return (
    <View className="flex-row items-end gap-2 border-b border-hair pb-2">
      <View className="flex-1">
        <TextField
          label={`${KIND_WORDS[place.kind]}${place.forDay ? ` for ${place.forDay}` : ''}, ${jars} ${jars === 1 ? 'jar' : 'jars'}`}
          spokenLabel={`Name of ${place.name}`}
          value={name}
          onChange={setName}
        />
      </View>
      <View className="w-[92px]">
        <TextField
          label="holds jars"
          spokenLabel={`Jars that ${place.name} holds`}
          value={place.room === undefined ? '' : String(place.room)}
          onChange={(typed) => onRoom(readRoom(typed))}
          numeric
          wrong={place.room !== undefined && jars > place.room}
        />
      </View>
      {changed && (
        <TextKey words="Rename" label={`Rename ${place.name}`} onPress={() => onName(name.trim().slice(0, 40))} />
      )}
      {!changed && onStrike && <TextKey words="Strike out" label={`Strike out ${place.name}`} onPress={onStrike} />}
    </View>
  );
}

/** A whole number of jars; nothing for an empty field, and for what is none. */
function readRoom(typed: string): number | undefined {
  const room = Number(typed.replace(/\D/g, '').slice(0, 4));
  return room >= 1 ? room : undefined;
}

function withRoom({ room: _, ...place }: PantryPlace, room: number | undefined): PantryPlace {
  return room === undefined ? place : { ...place, room };
}
