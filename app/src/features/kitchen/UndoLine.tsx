import { type KitchenEvent } from '@hoddle/core/kitchen/kitchenEvent';
import { useState } from 'react';
import { View } from 'react-native';
import { clockTime } from '@/ui/clockWords';
import { Words } from '@/ui/Words';
import { KitchenKey } from '@/ui/KitchenKey';
import { type RunningLoad } from '@/household/kitchen/useLoad';
import { type LoadTaps, useLastTap } from '@/household/kitchen/useLoadTaps';

const TOLD: Partial<Record<KitchenEvent['type'], string>> = {
  'load-started': 'Jars in',
  'venting-started': 'Vents',
  'boil-reached': 'Clock started',
  'boil-lost': 'Told as lost',
  'heat-off': 'Heat off',
  'pressure-down': '0 psi',
  'jars-out': 'Jars out',
  'jars-left': 'A jar broke',
  'machine-started': 'Machine running',
};

/** A slip of the finger can be undone for a moment; where that would shorten the process it is asked first. */
export function UndoLine({ running, taps }: { running: RunningLoad; taps: LoadTaps }) {
  const last = useLastTap(running.load.id);
  const [asked, setAsked] = useState<string>();
  if (!last) return null;
  const cuts = last.type === 'boil-lost' || (last.type === 'heat-off' && running.state.phase === 'heating');
  const undo = () => {
    if (cuts) setAsked(last.id);
    else taps.tap({ type: 'taken-back', eventId: last.id });
  };
  if (asked === last.id) {
    return (
      <View role="alert" className="gap-2">
        <Words size="lead" weight={700} tone="milk">
          Was it never lost? The clock would go on as if it had held.
        </Words>
        <KitchenKey
          look="outline"
          words="Never lost: go on"
          onPress={() => taps.tap({ type: 'taken-back', eventId: last.id, sure: true })}
        />
        <KitchenKey look="milk" words="Start again in full" onPress={() => setAsked(undefined)} />
      </View>
    );
  }
  return (
    <KitchenKey look="outline" words="A slip? Undo" note={`${TOLD[last.type]} ${clockTime(last.at)}`} onPress={undo} />
  );
}
