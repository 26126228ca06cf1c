import { formsOf } from '../handbook/forms';
import { type Ingredient, readFormula } from '../handbook/formula';
import { measuredIngredient } from '../handbook/measuredIngredient';
import { findProduce, type ProduceId } from '../handbook/produce';
import { type ProductRow } from '../handbook/products';
import { formulasOf, type RecipeRow } from '../handbook/recipes';
import { KG_PER_LB, ML_PER_CUP } from '../measure/amount';
import { namesCrop } from './cropWords';

/** What one batch of a formula takes of one crop. */
export interface FormulaNeed {
  readonly crop: ProduceId;
  readonly ingredient: Ingredient;
  /** As picked; undefined where cups of it have no published weight. */
  readonly lbPerBatch?: number;
}

/** A formula that a crop is the measured part of, with all the produce it takes. */
export interface CropFormula {
  readonly formula: RecipeRow;
  readonly main: FormulaNeed & { readonly lbPerBatch: number };
  /** Whether the main crop is measured prepared, by the cup, so that trimming decides how many batches there are. */
  readonly byCups: boolean;
  readonly others: readonly FormulaNeed[];
}

/**
 * The formula of a product that goes by this crop: the one whose measured ingredient names it and whose weight as picked is
 * known. Of several the first as printed.
 *
 * @returns undefined where the product has no such formula
 */
export function formulaForCrop(product: ProductRow, crop: ProduceId): CropFormula | undefined {
  return formulasOf(product.product)
    .map((formula) => cropFormula(formula, product, crop))
    .find((found) => found !== undefined);
}

const KNOWN = new Map<string, CropFormula | undefined>();

function cropFormula(formula: RecipeRow, product: ProductRow, crop: ProduceId): CropFormula | undefined {
  const key = `${crop} ${formula.product} ${formula.mainInputs}`;
  if (KNOWN.has(key)) return KNOWN.get(key);
  const found = readCropFormula(formula, product, crop);
  KNOWN.set(key, found);
  return found;
}

function readCropFormula(formula: RecipeRow, product: ProductRow, crop: ProduceId): CropFormula | undefined {
  const { kind, ingredients } = readFormula(formula.mainInputs);
  const measured = measuredIngredient(formula);
  // "0.75 cup sugar per cup juice" says nothing of what one batch is.
  if (!measured || !formula.yields || /per cup/i.test(formula.mainInputs)) return undefined;
  if (!product.crops.some((all) => all.includes(crop))) return undefined;
  // "apple: 4 cups juice" names its fruit before the colon.
  const words = (ingredient: Ingredient) => `${ingredient.text} ${isBareForm(ingredient) ? kind : ''}`.trim();
  const produce = ingredients.filter(
    ({ role, optional }) => !optional && (role === 'low-acid' || role === 'acid-food'),
  );
  const own = produce.filter((ingredient) => namesCrop(words(ingredient), crop));
  const leads = product.crops.some((all) => all[0] === crop);
  const ingredient = own.find(({ text }) => text === measured.ingredient.text) ?? (leads ? own[0] : undefined);
  const pounds = own.map((each) => lbOf(each, crop));
  if (!ingredient || pounds.some((lb) => lb === undefined)) return undefined;
  const lbPerBatch = pounds.reduce<number>((sum, lb) => sum + (lb ?? 0), 0);
  const grown = [...new Set(product.crops.flat())].flatMap((each) => findProduce(each)?.crop ?? []);
  const others = produce
    .filter((each) => !own.includes(each))
    .flatMap((each): FormulaNeed[] => {
      const other = [...grown, ...ALWAYS_GROWN].find((known) => known !== crop && namesCrop(words(each), known));
      if (!other) return [];
      const lb = lbOf(each, other);
      return [{ crop: other, ingredient: each, ...(lb !== undefined && { lbPerBatch: lb }) }];
    });
  const byCups = ingredient.amount?.of === 'ml';
  return { formula, main: { crop, ingredient, lbPerBatch }, byCups, others };
}

/** Vegetables that formulas take beside the crops they are named for. */
const ALWAYS_GROWN = ['onion', 'pepper-hot', 'pepper-sweet', 'cabbage', 'rhubarb', 'grape', 'plum'] as const;

/** "juice", "crushed berries": a form whose fruit may be named only by the formula's kind. */
function isBareForm({ food }: Ingredient): boolean {
  return /^(juice|crushed berries|crushed fruit)\b/i.test(food);
}

/** Pounds as picked that an ingredient takes of a crop: by weight, by the cups of its form, or by its own note. */
function lbOf({ amount, also, food }: Ingredient, crop: ProduceId): number | undefined {
  if (amount?.of === 'kg') return amount.span.high / KG_PER_LB;
  if (amount?.of !== 'ml') return undefined;
  const cups = amount.span.high / ML_PER_CUP;
  const forms = formsOf(crop);
  const wanted = FORM_WORDS.find(([words]) => words.test(food))?.[1];
  const named = wanted && forms.find(({ form }) => wanted.test(form));
  if (named) return cups / named.cupsPerLb;
  if (also?.of === 'kg') return also.span.high / KG_PER_LB;
  // A juice or a crushed fruit goes by no other form.
  if (wanted === JUICE || wanted === CRUSHED) return undefined;
  const any = forms.find(({ form }) => /^(chopped|finely chopped|hulled whole|whole|sliced|cut)/.test(form));
  return any && cups / any.cupsPerLb;
}

const JUICE = /^juice/;
const CRUSHED = /^crushed/;

/** Words of a formula, and the form whose cups they are. */
const FORM_WORDS: readonly [RegExp, RegExp][] = [
  [/juice/i, JUICE],
  [/crushed/i, CRUSHED],
  [/pitted|plums|sour cherries/i, /pitted/],
  [/sliced|apples|peaches/i, /^sliced/],
  [/cabbage/i, /^shredded/],
];
