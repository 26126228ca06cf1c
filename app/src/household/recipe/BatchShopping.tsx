import { type Batch, nameOf, jarsWords } from '@hoddle/core/day/batch';
import { View } from 'react-native';
import { useUnits } from '@/store/useUnits';
import { dayAndDate } from '@/ui/clockWords';
import { Heading, Words } from '@/ui/Words';
import { boughtLines, boughtWords } from '@hoddle/core/recipe/boughtLines';
import { MissingNote } from './MissingNote';
import { useBatchAmounts } from './useBatchAmounts';

/** What a planned batch takes from the cupboard or the shop, and what of its produce is missing. */
export function BatchShopping({ batch }: { batch: Batch }) {
  const units = useUnits();
  const amounts = useBatchAmounts(batch);
  if (!amounts) return null;
  const bought = boughtLines(amounts.lines);
  return (
    <View role="group" aria-label={`For ${nameOf(batch)}`} className="gap-1 border-t border-hair py-2">
      <Heading>
        {nameOf(batch)}, {jarsWords(batch)}
      </Heading>
      <Words tone="ink-2">{dayAndDate(batch.startAt)}</Words>
      <MissingNote batch={batch} />
      {bought.map((line) => {
        const { amount, item, beside } = boughtWords(line, units);
        return (
          <Words key={line.line.item + line.line.into}>
            <Words weight={700}>{amount}</Words> {item}
            {beside === '' ? '' : `; ${beside}`}
          </Words>
        );
      })}
    </View>
  );
}
