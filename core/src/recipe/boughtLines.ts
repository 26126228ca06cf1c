import { amountWordsOf } from './amountWords';
import { measureWords } from './kitchenMeasure';
import { type AmountLine } from './recipeFor';

/** What of a recipe comes out of the cupboard or the shop: no produce that was weighed in, no water from the tap. */
export function boughtLines(lines: readonly AmountLine[]): AmountLine[] {
  return lines.filter(({ line }) => line.crops.length === 0 && line.role !== 'water' && !line.inside);
}

/** As it stands on a shopping list: of what goes in jar by jar what all jars take, since that is bought. */
export function boughtWords(
  line: AmountLine,
  units: 'us' | 'metric',
): { amount: string; item: string; beside: string } {
  const { amount, item, beside } = amountWordsOf(line, units, 'all');
  if (!line.perJar || line.all.of === 'words') return { amount, item, beside };
  const more = [`${amount} in every jar`, ...(beside === '' ? [] : [beside])].join('; ');
  return { amount: measureWords(line.all, units, line.line.role), item, beside: more };
}
