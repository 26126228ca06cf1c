import { useState } from 'react';
import { View } from 'react-native';
import { SmallKey } from '@/ui/SmallKey';
import { Words } from '@/ui/Words';
import { hasRadio, hasWire, listenByRadio, listenByWire } from './browserInstruments';

/** Instruments that this browser hears itself, where it can. */
export function BrowserPart() {
  const [said, setSaid] = useState<string>();
  if (!hasRadio() && !hasWire()) return null;
  const listen = (way: () => Promise<string>) =>
    void way().then(
      (name) => setSaid(`${name} is heard, as long as this page is open.`),
      (error: unknown) => setSaid(error instanceof Error ? error.message : 'It cannot be heard.'),
    );
  return (
    <View className="gap-2">
      <View className="flex-row flex-wrap gap-2">
        {hasRadio() && <SmallKey words="One by radio" onPress={() => listen(listenByRadio)} />}
        {hasWire() && <SmallKey words="One on a cable" onPress={() => listen(listenByWire)} />}
      </View>
      {said !== undefined && (
        <Words role="status" weight={700}>
          {said}
        </Words>
      )}
    </View>
  );
}
