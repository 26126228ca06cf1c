import { useState } from 'react';
import { View } from 'react-native';
import { askTo } from '@/store/api';
import { Plate } from '@/ui/Plate';
import { SmallKey } from '@/ui/SmallKey';
import { Heading, Words } from '@/ui/Words';

const HAPPENINGS: readonly { readonly words: string; readonly what: string }[] = [
  { words: 'Empty basket on', what: 'hang 2.2' },
  { words: 'Full basket on', what: 'hang 14.55' },
  { words: 'Scale empty', what: 'hang 0' },
  { words: 'Bowl with 450 g on', what: 'weigh 0.45' },
  { words: 'Blue: flame out', what: 'flame 1 0' },
  { words: 'Blue: flame on', what: 'flame 1 100' },
  { words: 'Refrigerator left open', what: 'fridge 55' },
];

/** The demo's own instruments stand in a kitchen that is not there; they speak when they are asked to. */
export function SimulatedPart({ isOn }: { isOn: boolean }) {
  const [said, setSaid] = useState<string>();
  const happen = async (what: string) => {
    const reply = await askTo('POST', '/instruments/simulated', { what });
    setSaid(reply.kind === 'done' ? undefined : reply.message);
  };
  return (
    <Plate className="gap-3">
      <Heading>Simulated ones</Heading>
      <Words>A kitchen that is not there: two pots on the burner, a scale, a refrigerator.</Words>
      <View className="flex-row flex-wrap gap-2">
        <SmallKey words={isOn ? 'Silence them' : 'Let them speak'} onPress={() => void happen(isOn ? 'off' : 'on')} />
        {isOn &&
          HAPPENINGS.map(({ words, what }) => <SmallKey key={what} words={words} onPress={() => void happen(what)} />)}
      </View>
      {said !== undefined && (
        <Words role="alert" weight={700}>
          {said}
        </Words>
      )}
    </Plate>
  );
}
