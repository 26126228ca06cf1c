import { JARS, type JarSize } from '../handbook/jars';
import { type ProductClass } from '../handbook/products';

/** Acid for one jar: any one of them. Bottled lemon juice only; vinegar of at least 5 %, and for tomatoes alone. */
export interface AcidDose {
  readonly bottledLemonJuiceTbsp: number;
  readonly citricAcidTsp: number;
  readonly vinegarTbsp?: number;
}

/** Published for a pint; a quart takes twice as much. USDA Complete Guide to Home Canning, 2015, guide 3, as recalled. */
const PER_PINT = { bottledLemonJuiceTbsp: 1, citricAcidTsp: 1 / 4, vinegarTbsp: 2 } as const;

/** The finest spoon of each: half a tablespoon, an eighth of a teaspoon. */
const FINEST = { bottledLemonJuiceTbsp: 1 / 2, citricAcidTsp: 1 / 8, vinegarTbsp: 1 / 2 } as const;

/**
 * The dose for a jar, in proportion to its size and rounded up to a spoon, never down (handbook rule 2), also under
 * pressure. Undefined for food that is acid by nature, by its own formula, or low-acid and pressure canned.
 */
export function acidDose(productClass: ProductClass, jar: JarSize): AcidDose | undefined {
  if (productClass !== 'tomato' && productClass !== 'fruit-acidified') return undefined;
  const pints = JARS[jar].nominalFlOz / JARS.pint.nominalFlOz;
  const dose = (of: keyof typeof PER_PINT) => Math.ceil((PER_PINT[of] * pints) / FINEST[of] - 1e-9) * FINEST[of];
  return {
    bottledLemonJuiceTbsp: dose('bottledLemonJuiceTbsp'),
    citricAcidTsp: dose('citricAcidTsp'),
    ...(productClass === 'tomato' && { vinegarTbsp: dose('vinegarTbsp') }),
  };
}
