import { type JarSize } from '../handbook/jars';
import { type ProductId } from '../handbook/products';
import { ML_PER_TBSP, ML_PER_TSP } from '../measure/amount';
import { acidDose } from './acidDose';

/** What a cook may put into a jar as its acid. */
export const ACIDS = ['bottled-lemon', 'citric-acid', 'vinegar', 'fresh-lemon', 'home-made-vinegar'] as const;
export type Acid = (typeof ACIDS)[number];

export type DoseCheck =
  | { readonly kind: 'enough' }
  /** `share` is what is there of what is needed, below 1. */
  | { readonly kind: 'short'; readonly share: number; readonly neededMl: number }
  /** More than twice: safe, and tasted. */
  | { readonly kind: 'much'; readonly neededMl: number }
  | { readonly kind: 'refused'; readonly reason: string };

const REFUSED: Partial<Record<Acid, string>> = {
  'fresh-lemon':
    'Fresh lemons vary in strength: only bottled juice counts as the acid of a jar. Fresh juice is fine against browning and for flavour.',
  'home-made-vinegar': 'Home-made vinegar varies; it is never canning acid, whatever strength it seems.',
};

/**
 * Whether what goes into one jar is the acid it needs. The mistake made most is the pint's dose in a quart: half of it.
 *
 * Source: handbook rule 2.
 *
 * @param ml of the acid in one jar, 0 or more
 * @returns undefined for food that takes no acid by the jar
 */
export function checkDose(product: ProductId, jar: JarSize, acid: Acid, ml: number): DoseCheck | undefined {
  const dose = acidDose(product, jar);
  if (!dose) return undefined;
  const refused = REFUSED[acid];
  if (refused !== undefined) return { kind: 'refused', reason: refused };
  if (acid === 'vinegar' && dose.vinegarTbsp === undefined) {
    return {
      kind: 'refused',
      reason: `Vinegar was tested as the acid of tomatoes alone: here bottled lemon juice${dose.citricAcidTsp === undefined ? '' : ' or citric acid'}.`,
    };
  }
  if (acid === 'citric-acid' && dose.citricAcidTsp === undefined) {
    return { kind: 'refused', reason: 'Citric acid is not on the page of this fruit: here bottled lemon juice.' };
  }
  const neededMl =
    acid === 'citric-acid'
      ? (dose.citricAcidTsp ?? 0) * ML_PER_TSP
      : (acid === 'vinegar' ? (dose.vinegarTbsp ?? 0) : dose.bottledLemonJuiceTbsp) * ML_PER_TBSP;
  if (ml < neededMl * (1 - 1e-6)) return { kind: 'short', share: ml / neededMl, neededMl };
  return ml > 2 * neededMl ? { kind: 'much', neededMl } : { kind: 'enough' };
}
