import { type AmountLine } from '@hoddle/core/recipe/recipeFor';
import { amountWordsOf } from '@hoddle/core/recipe/amountWords';
import { useUnits } from '@/store/useUnits';
import { Words } from '@/ui/Words';

interface AmountRowProps {
  line: AmountLine;
  /** What one pot takes, or what all take together. */
  of: 'pot' | 'all';
  /** Weighed out already: drawn back. */
  isIn?: boolean;
  /** Said after it: ", in every jar". */
  beside?: string;
}

/** How much of what, to be read from two feet away. */
export function AmountRow({ line, of, isIn = false, beside = '' }: AmountRowProps) {
  const { amount, item } = amountWordsOf(line, useUnits(), of);
  const tone = isIn ? 'milk-2' : 'milk';
  return (
    <Words size="lead" tone={tone}>
      <Words weight={800} tone={tone} style={{ fontSize: 27, lineHeight: 32 }}>
        {amount}
      </Words>{' '}
      {item}
      {beside}
    </Words>
  );
}
