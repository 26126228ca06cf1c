import { countJars } from '@hoddle/core/handbook/jars';
import { useState } from 'react';
import { View } from 'react-native';
import { Words } from '@/ui/Words';
import { KitchenKey } from '@/ui/KitchenKey';
import { type RunningLoad } from '@/household/kitchen/useLoad';
import { useLoadTaps } from '@/household/kitchen/useLoadTaps';

/** A jar broke in the canner or on the way out: the load goes on with one less. */
export function BrokenPart({ running }: { running: RunningLoad }) {
  const { tap } = useLoadTaps(running);
  const [asked, setAsked] = useState(false);
  const { jars } = running.state;
  if (jars === 0) return null;
  if (!asked) return <KitchenKey look="outline" words="A jar broke" onPress={() => setAsked(true)} />;
  const left = countJars(jars - 1, running.batch.jar);
  return (
    <View role="alert" className="gap-3">
      <Words size="lead" weight={600} tone="milk">
        The others go on. No cold water on hot glass; what broke is thrown away whole.
      </Words>
      <KitchenKey
        look="milk"
        words={`One broke: ${left} left`}
        onPress={() => {
          setAsked(false);
          tap({ type: 'jars-left', jars: jars - 1 });
        }}
      />
      <KitchenKey look="outline" words="None broke" onPress={() => setAsked(false)} />
    </View>
  );
}
