import { notForShelf, type NotForShelf } from '@hoddle/core/kitchen/notForShelf';
import { View } from 'react-native';
import { CurveLink } from '@/household/instruments/CurveLink';
import { type RunningLoad, useLoad } from '@/household/kitchen/useLoad';
import { useLoadTaps } from '@/household/kitchen/useLoadTaps';
import { useHousehold } from '@/store/useHousehold';
import { temperatureWords } from '@/ui/amountWords';
import { Choice } from '@/ui/Choice';
import { Key } from '@/ui/Key';
import { Plate } from '@/ui/Plate';
import { Words } from '@/ui/Words';

/** What instruments say against the shelf, for each load; undefined where nothing does. */
export function useHeldFromShelf(): (running: RunningLoad) => NotForShelf | undefined {
  const { curves } = useHousehold();
  return ({ load, order, state }) =>
    notForShelf(
      order,
      state,
      curves.find(({ id }) => id === (load.withLoadId ?? load.id)),
    );
}

interface ShelfQuestionProps {
  running: RunningLoad;
  /** Whether the cook says that it boiled, whatever was read; undefined until asked. */
  boiled: boolean | undefined;
  onBoiled: (boiled: boolean) => void;
}

/** Before jars of such a load go to the shelf somebody is asked. */
export function ShelfQuestion({ running, boiled, onBoiled }: ShelfQuestionProps) {
  const held = useHeldFromShelf()(running);
  // What stands in a canner together boils together: it is told of the one it goes in with.
  const taps = useLoadTaps(useLoad(running.load.id) ?? running);
  const { units } = useHousehold().household;
  const { load, order } = running;
  if (!held) return null;
  if (held.kind === 'unseen') {
    return (
      <Plate className="gap-3">
        <Words role="alert" weight={700}>
          Load {load.number}: a probe began its clock, and nobody has said that it boiled. Until then its jars go to the
          refrigerator.
        </Words>
        <Key look="outline" words="I saw it boil" onPress={() => taps.tap({ type: 'boil-seen' })} />
      </Plate>
    );
  }
  const { minutes, lowest } = held.short;
  return (
    <Plate className="gap-3">
      <Words role="alert" weight={700}>
        Load {load.number}: the probe read {temperatureWords(lowest, units)} and less than the boil for {minutes} of the{' '}
        {order.processMinutes} tested min. If it stopped boiling, the time was too short for the shelf.
      </Words>
      <CurveLink loadId={load.id} light />
      <Choice
        label={`Load ${load.number}`}
        value={boiled === undefined ? '' : boiled ? 'boiled' : 'not'}
        onChoose={(value) => onBoiled(value === 'boiled')}
        options={[
          { value: 'not', words: 'to the refrigerator' },
          { value: 'boiled', words: 'it boiled, I looked' },
        ]}
      />
      <View>
        <Words tone="ink-2">A probe that slipped out of the water reads so too. In doubt, the refrigerator.</Words>
      </View>
    </Plate>
  );
}
