import { useState } from 'react';
import { View } from 'react-native';
import { v7 as uuidV7 } from 'uuid';
import { useHousehold } from '@/store/useHousehold';
import { Key } from '@/ui/Key';
import { Plate } from '@/ui/Plate';
import { SmallKey } from '@/ui/SmallKey';
import { TextField } from '@/ui/TextField';
import { Heading, Words } from '@/ui/Words';
import { weightWords } from '@/household/instruments/readingWords';
import { useInstrumentSettings, useScales } from '@/household/instruments/useInstruments';

/** What is put on a scale with something in it: told once, known again by its weight. */
export function ContainersPart() {
  const { units } = useHousehold().household;
  const { settings, change } = useInstrumentSettings();
  const scale = useScales('hanging-scale').find(({ still }) => (still?.grams ?? 0) > 0);
  const [name, setName] = useState('');
  const keep = () => {
    const grams = scale?.still?.grams;
    if (grams === undefined || name.trim() === '') return;
    change(({ containers }) => ({ containers: [...containers, { id: uuidV7(), name: name.trim(), grams }] }));
    setName('');
  };
  return (
    <Plate className="gap-3">
      <Heading>What it is weighed in</Heading>
      {settings.containers.length === 0 && (
        <Words>Put an empty basket on a scale and name it: from then on it is known by its weight and taken off.</Words>
      )}
      <View role="list" aria-label="Containers">
        {settings.containers.map(({ id, name: own, grams }) => (
          <View
            key={id}
            role="listitem"
            className="min-h-[48px] flex-row items-center gap-3 border-t-2 border-hair py-1"
          >
            <Words weight={700} className="flex-1">
              {own}
            </Words>
            <Words>{weightWords(grams, scale?.step ?? 1, units)}</Words>
            <SmallKey
              words="Strike out"
              label={`Strike out ${own}`}
              onPress={() => change(({ containers }) => ({ containers: containers.filter((each) => each.id !== id) }))}
            />
          </View>
        ))}
      </View>
      {scale?.still && (
        <>
          <Words>
            On {scale.name}: <Words weight={700}>{weightWords(scale.still.grams, scale.step, units)}</Words>, still.
          </Words>
          <TextField label="This empty container is" value={name} onChange={setName} />
          <Key look="outline" words="Keep it by its weight" disabled={name.trim() === ''} onPress={keep} />
        </>
      )}
    </Plate>
  );
}
