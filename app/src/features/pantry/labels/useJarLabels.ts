import { allergensOf } from '@hoddle/core/recipe/allergensOf';
import { jarLabelOf, type LabelExtras } from '@hoddle/core/formats/labels/jarLabelOf';
import { type JarLabel } from '@hoddle/core/formats/labels/layLabel';
import { findCard } from '@hoddle/core/handbook/cards';
import { cardOfBatch } from '@hoddle/core/yields/cardForCrop';
import { type StockedLot } from '@hoddle/core/pantry/shelf';
import { useHousehold } from '@/store/useHousehold';
import { useDateStyle } from '@/household/paper/useDateStyle';
import { usePantry } from '@/household/pantry/usePantry';

/** What is wanted on the labels besides what is known of the jars. */
export interface LabelWishes {
  readonly base: string;
  readonly note: string;
  readonly allergens: boolean;
  readonly netWeight: string;
  readonly statement: string;
}

/** The label of each of some lots. */
export function useJarLabels(): (lot: StockedLot, wishes: LabelWishes) => JarLabel {
  const { batches, household } = useHousehold();
  const { codeOf } = usePantry();
  const dates = useDateStyle();
  return (lot, wishes) => {
    const batch = batches.find(({ loads }) => loads.some(({ id }) => id === lot.loadId));
    const card = wishes.allergens ? cardOfLot(lot) : undefined;
    const extras: LabelExtras = {
      note: wishes.note,
      ...(card && { allergens: allergensOf(card) }),
      netWeight: wishes.netWeight,
      statement: wishes.statement,
    };
    return jarLabelOf(
      lot,
      {
        ...{ placeKind: lot.placeKind, bestMonths: household.bestMonths, dates, code: codeOf(lot) },
        ...(batch && { batch }),
        ...(wishes.base !== '' && { base: wishes.base }),
      },
      extras,
    );
  };
}

/** The card jars were made by: their own, or the first of their product. */
function cardOfLot({ product, recipe }: StockedLot) {
  return (recipe === undefined ? undefined : findCard(recipe)) ?? cardOfBatch(product, recipe, undefined);
}
