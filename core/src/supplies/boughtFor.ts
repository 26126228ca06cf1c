import { type CardLine, type Role } from '../handbook/cards/card';
import { ML_PER_CUP } from '../measure/amount';
import { type RecipeAmounts } from '../recipe/recipeFor';

/** Something a recipe takes that is not grown: by the name it has in a shop. */
export interface Bought {
  readonly words: string;
  readonly unit: 'pieces' | 'ml' | 'kg' | 'boxes';
  readonly amount: number;
}

/** Roles that are bought: produce is grown and water comes from the tap. */
const BOUGHT: readonly Role[] = [
  'vinegar',
  'lemon',
  'citric-acid',
  'salt',
  'sugar',
  'thickener',
  'oil',
  'pectin',
  'spice',
  'firming',
  'other',
];

/** What is put under one name in a shop, whatever a page calls it. */
const NAMES: readonly [RegExp, string][] = [
  [/brown sugar/i, 'brown sugar'],
  [/sugar/i, 'sugar'],
  [/cider vinegar/i, 'cider vinegar, 5 %'],
  [/vinegar/i, 'white vinegar, 5 %'],
  [/lemon or lime juice|lemon juice/i, 'bottled lemon juice'],
  [/lime juice/i, 'bottled lime juice'],
  [/salt/i, 'canning salt'],
  [/liquid pectin/i, 'liquid pectin'],
  [/pectin/i, 'powdered pectin'],
  [/canning starch/i, 'cook-type starch'],
];

/** What a shop sells by weight and a page gives in cups, in kilograms a cup. Common practice. */
const KG_PER_CUP: Readonly<Record<string, number>> = { sugar: 0.2, 'brown sugar': 0.22, 'canning salt': 0.29 };

/**
 * What to have for a recipe beside its produce: what goes into the jars and what is poured off alike. What may be left out
 * is not asked for; of a group the line that is taken.
 */
export function boughtFor({ lines }: RecipeAmounts): Bought[] {
  return lines.flatMap(({ line, all }): Bought[] => {
    if (!BOUGHT.includes(line.role) || line.optional || line.inside) return [];
    const words = shopName(line);
    if (all.of === 'words') return line.role === 'spice' ? [{ words, unit: 'pieces', amount: 1 }] : [];
    if (line.role === 'pectin') return [{ words, unit: 'boxes', amount: all.value }];
    const perCup = KG_PER_CUP[words];
    if (perCup !== undefined && all.of === 'ml') {
      return [{ words, unit: 'kg', amount: (all.value / ML_PER_CUP) * perCup }];
    }
    return [{ words, unit: all.of, amount: all.value }];
  });
}

/** The name of a line in a shop. */
export function shopName({ item }: CardLine): string {
  return (
    NAMES.find(([pattern]) => pattern.test(item))?.[1] ??
    item
      .toLowerCase()
      .replace(/,? ?\((.*?)\)|, (first|second|third|last|day.*)$/g, '')
      .trim()
  );
}
