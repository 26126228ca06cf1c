import { CROP_NAMES } from '../handbook/crops';
import { findProduct, type ProductRow } from '../handbook/products';
import { formulasOf } from '../handbook/recipes';
import { type ChangeId, type ChangeVerdict, mayChange } from './change';
import { changesOf } from './editedBatch';
import { type Formula, type Ingredient, readFormula, readIngredient } from '../handbook/formula';

/**
 * What a batch, written down as a cook does, changes in the product's formula; of several formulas the nearest counts.
 * A product without one is its own food: only water, salt, sugar, spices and acid may go in.
 *
 * @param lines one ingredient each: "4 cups 5% vinegar"
 * @returns nothing for a product the handbook does not have: that is refused for another reason
 */
export function changesOfBatch(product: string, lines: readonly string[]): ChangeVerdict[] {
  const row = findProduct(product);
  if (!row) return [];
  const written = lines.map(readIngredient);
  const formulas = formulasOf(row.product).map(({ mainInputs }) => readFormula(mainInputs));
  if (formulas.length === 0)
    return row.hasFormula ? [mayChange(row, 'other-proportion')] : changesOfPlain(row, written);
  const [nearest] = formulas
    .map((formula) => ({ changes: changesOf(row, formula, written), alike: alikeness(formula, written) }))
    .sort((a, b) => nevers(a.changes) - nevers(b.changes) || b.alike - a.alike);
  return nearest?.changes ?? [];
}

function nevers(changes: readonly ChangeVerdict[]): number {
  return changes.filter(({ verdict }) => verdict === 'never').length;
}

/** How many ingredients of the formula the batch names. */
function alikeness(formula: Formula, written: readonly Ingredient[]): number {
  return formula.ingredients.filter(({ role }) => written.some((own) => own.role === role)).length;
}

function changesOfPlain(product: ProductRow, written: readonly Ingredient[]): ChangeVerdict[] {
  const found = new Set<ChangeId>();
  const crops = product.crops.flat().map((crop) => CROP_NAMES[crop]);
  const ownFood = [product.name, ...product.otherNames, ...crops].join(' ').toLowerCase();
  for (const { role, food } of written) {
    const isOwn = food
      .split(/[^a-z]+/)
      .some((word) => word.length > 3 && ownFood.includes(word.replace(/(oes|ies|s)$/, '')));
    if (isOwn) continue;
    if (role === 'low-acid') found.add('more-low-acid');
    if (role === 'oil') found.add('oil');
    if (role === 'thickener') found.add('thickener');
    if (role === 'acid-food') found.add('new-ingredient');
    if (role === 'spice') found.add('dry-spices');
  }
  return [...found].map((change) => mayChange(product, change));
}
