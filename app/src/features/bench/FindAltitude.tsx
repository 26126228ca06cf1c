import { useState } from 'react';
import { View } from 'react-native';
import { SmallKey } from '@/ui/SmallKey';
import { Words } from '@/ui/Words';

const WAYS = [
  'A map with contour lines: the line next above the house.',
  'The nearest weather station or airfield, with how far you live above or below it.',
  'A phone’s compass or map that shows height: outdoors, and the highest of three readings.',
  'The town’s own page gives its height; the hill above the town is not the town.',
] as const;

/** How one finds the altitude of a kitchen, and what to do when in doubt. */
export function FindAltitude() {
  const [open, setOpen] = useState(false);
  return (
    <View className="gap-2">
      <Words tone="ink-2">In doubt take the higher band: longer is safe, shorter is not.</Words>
      {open ? (
        <View role="list" className="gap-1">
          {WAYS.map((way) => (
            <View key={way} role="listitem" className="border-l-4 border-hair pl-3">
              <Words>{way}</Words>
            </View>
          ))}
          <Words tone="ink-2">Boiling water tells it too roughly: weather shifts it by hundreds of feet.</Words>
        </View>
      ) : (
        <View className="items-start">
          <SmallKey words="How do I find it?" onPress={() => setOpen(true)} />
        </View>
      )}
    </View>
  );
}
