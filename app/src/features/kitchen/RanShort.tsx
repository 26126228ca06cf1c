import { type DayTask } from '@hoddle/core/day/dayProblem';
import { type Batch } from '@hoddle/core/day/batch';
import { countJars } from '@hoddle/core/handbook/jars';
import { recipeFor } from '@hoddle/core/recipe/recipeFor';
import { useState } from 'react';
import { View } from 'react-native';
import { useBatchAmounts } from '@/household/recipe/useBatchAmounts';
import { Words } from '@/ui/Words';
import { AmountRow } from './AmountRow';
import { KitchenKey } from '@/ui/KitchenKey';
import { NumberPad } from './NumberPad';

/** Steps at which the liquid is poured over packed jars. */
const POURED_AT = ['raw-pack', 'close', 'fill'];

/** The covering liquid does not go round: the same mix again, for the jars that are still dry. */
export function RanShort({ task, batch }: { task: DayTask; batch: Batch | undefined }) {
  const amounts = useBatchAmounts(batch);
  const [dry, setDry] = useState<number>();
  const load = amounts?.loads.find(({ loadId }) => loadId === task.loadId);
  if (!batch || !load?.amounts.covering || !POURED_AT.includes(task.entry ?? '')) return null;
  if (dry === undefined) {
    return <KitchenKey look="outline" words="The liquid runs short" onPress={() => setDry(1)} />;
  }
  const most = load.amounts.jars.reduce((sum, { count }) => sum + count, 0);
  const again = recipeFor(load.amounts.card, { jars: [{ jar: batch.jar, count: dry }] }).covering;
  return (
    <View role="group" aria-label="The same mix again" className="gap-2">
      <NumberPad
        label="Jars still dry"
        value={dry}
        unit={dry === 1 ? 'jar' : 'jars'}
        step={1}
        isWhole
        onChange={(next) => setDry(Math.min(most, Math.max(1, next)))}
      />
      <Words size="lead" weight={700} tone="milk">
        The same mix for {countJars(dry, batch.jar)}; never more water
      </Words>
      {again?.lines.map((line) => (
        <AmountRow key={line.line.item + line.line.into} line={line} of="all" />
      ))}
    </View>
  );
}
