import { useState } from 'react';
import { View } from 'react-native';
import { Words } from '@/ui/Words';
import { KitchenKey } from '@/ui/KitchenKey';
import { NumberPad } from './NumberPad';
import { type RunningLoad } from '@/household/kitchen/useLoad';
import { type LoadTaps } from '@/household/kitchen/useLoadTaps';

/** A canner that times itself: the minutes it shows are told, and are never fewer than the tested ones. */
export function MachinePart({ running, taps }: { running: RunningLoad; taps: LoadTaps }) {
  const least = running.order.processMinutes;
  const [minutes, setMinutes] = useState(least + 20);
  const short = minutes < least;
  return (
    <View className="gap-3">
      <NumberPad label="Minutes it shows" value={minutes} step={5} isWhole onChange={setMinutes} unit="min" />
      {short && (
        <Words role="alert" size="lead" weight={700} tone="milk">
          {minutes} min is shorter than the tested {least} min. Set the machine anew, or use another canner.
        </Words>
      )}
      <KitchenKey
        look="amber"
        words="Machine running"
        disabled={short}
        onPress={() => taps.tap({ type: 'machine-started', minutes })}
      />
    </View>
  );
}
