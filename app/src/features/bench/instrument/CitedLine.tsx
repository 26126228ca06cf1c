import { citedOf } from '@hoddle/core/handbook/cards';
import { type Card } from '@hoddle/core/handbook/cards/card';
import { Words } from '@/ui/Words';

/** Where a recipe is printed, and that it stands here from memory where it does. */
export function CitedLine({ card }: { card: Card }) {
  const { source, recalled } = citedOf(card);
  return (
    <Words size="label" tone="ink-2">
      {source}
      {recalled ? ', as recalled' : ''}.
    </Words>
  );
}
