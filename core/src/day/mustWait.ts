import { type Card } from '../handbook/cards/card';
import { isOwnProduct } from '../handbook/ownIds';
import { type ProduceId } from '../handbook/produce';
import { type ProductRow } from '../handbook/products';
import { cardForCrop } from '../yields/cardForCrop';
import { productsFrom } from '../yields/estimateJars';
import { daySequence, type DayStep, madeBefore } from './daySequence';
import { isLongWait } from './longWait';

/** Steps of a card that take hours by themselves and are not left to the cook: a soak, a drip, a night in salt. */
export function mustWait(card: Card): DayStep[] {
  return [...madeBefore(card), ...daySequence(card, everyOptional(card))].filter(
    ({ step, optional }) => !optional && isLongWait(step),
  );
}

/** Another product of the same crop, and the least minutes that its own steps must wait. */
export interface LessWaiting {
  readonly product: ProductRow;
  readonly waitMin: number;
}

/** Products of the same kind, from the same crop, whose pages ask for less waiting than a card's, the least first. */
export function lessWaiting(card: Card, { product, productClass }: ProductRow, crop: ProduceId): LessWaiting[] {
  const own = leastWait(card);
  return productsFrom(crop)
    .flatMap((row): LessWaiting[] => {
      const other = cardForCrop(row.product, crop)?.card;
      if (!other || row.product === product || row.productClass !== productClass || isOwnProduct(row.product))
        return [];
      return [{ product: row, waitMin: leastWait(other) }];
    })
    .filter(({ waitMin }) => waitMin < own)
    .sort((a, b) => a.waitMin - b.waitMin);
}

function leastWait(card: Card): number {
  return mustWait(card).reduce((sum, { step }) => sum + step.waitMinutes[0], 0);
}

function everyOptional({ steps }: Card): string[] {
  return steps.filter(({ optional }) => optional).map(({ step }) => step);
}
