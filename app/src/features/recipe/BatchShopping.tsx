import { type Batch, nameOf, jarsWords } from '@hoddle/core/day/batch';
import { View } from 'react-native';
import { useUnits } from '@/store/useUnits';
import { dayAndDate } from '@/ui/clockWords';
import { Heading, Words } from '@/ui/Words';
import { amountWordsOf } from './amountLines';
import { MissingNote } from './MissingNote';
import { useBatchAmounts } from './useBatchAmounts';

/** What a planned batch takes from the cupboard or the shop, and what of its produce is missing. */
export function BatchShopping({ batch }: { batch: Batch }) {
  const units = useUnits();
  const amounts = useBatchAmounts(batch);
  if (!amounts) return null;
  // Produce that is reserved is here; water comes from the tap.
  const bought = amounts.lines.filter(({ line }) => line.crops.length === 0 && line.role !== 'water' && !line.inside);
  return (
    <View role="group" aria-label={`For ${nameOf(batch)}`} className="gap-1 border-t border-hair py-2">
      <Heading>
        {nameOf(batch)}, {jarsWords(batch)}
      </Heading>
      <Words tone="ink-2">{dayAndDate(batch.startAt)}</Words>
      <MissingNote batch={batch} />
      {bought.map((line) => {
        const { key, amount, item, beside } = amountWordsOf(line, units, 'all');
        return (
          <Words key={key}>
            <Words weight={700}>{amount}</Words> {item}
            {line.perJar ? ' in every jar' : ''}
            {beside === '' ? '' : `; ${beside}`}
          </Words>
        );
      })}
    </View>
  );
}
