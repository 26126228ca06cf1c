import { type Batch } from '@hoddle/core/day/batch';
import { type ProduceId } from '@hoddle/core/handbook/produce';
import { productRow } from '@hoddle/core/handbook/products';
import { formulasOf, type RecipeRow } from '@hoddle/core/handbook/recipes';
import { formulaForCrop } from '@hoddle/core/yields/formulaNeeds';
import { useHousehold } from '@/store/useHousehold';

/** The formula a batch is made by, the one for its crop where there are several, and that crop. */
export function useFormulaOf(batch: Batch): { readonly crop?: ProduceId; readonly formula?: RecipeRow } {
  const { picks } = useHousehold();
  const crop = picks.find(({ id }) => id === batch.uses[0]?.pickId)?.crop;
  const formula = (crop && formulaForCrop(productRow(batch.product), crop)?.formula) ?? formulasOf(batch.product)[0];
  return { ...(crop && { crop }), ...(formula && { formula }) };
}
