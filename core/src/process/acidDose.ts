import { cardsOf } from '../handbook/cards';
import { type CardLine, type Role } from '../handbook/cards/card';
import { type JarSize } from '../handbook/jars';
import { type ProductId } from '../handbook/products';
import { ML_PER_TBSP, ML_PER_TSP } from '../measure/amount';
import { dosePerJar } from '../recipe/dosePerJar';

/** Acid for one jar: any one of them. Bottled lemon juice only; vinegar of at least 5 %, and for tomatoes alone. */
export interface AcidDose {
  readonly bottledLemonJuiceTbsp: number;
  readonly citricAcidTsp?: number;
  readonly vinegarTbsp?: number;
}

/** The lines of a product's card that put acid into each jar. */
function acidLines(product: ProductId): readonly CardLine[] {
  return (cardsOf(product)[0]?.ingredients ?? []).filter(
    ({ role, perJar }) => perJar && (role === 'lemon' || role === 'citric-acid' || role === 'vinegar'),
  );
}

/**
 * The dose for a jar, as its card has it: in proportion to the jar and rounded up to a spoon, never down (handbook rule 2),
 * also under pressure. Undefined for food that is acid by nature, by its own formula, or low-acid and pressure canned.
 */
export function acidDose(product: ProductId, jar: JarSize): AcidDose | undefined {
  const lines = acidLines(product);
  const ml = (role: Role): number | undefined => {
    const line = lines.find((each) => each.role === role);
    const dose = line && dosePerJar(line, jar);
    return dose?.of === 'ml' ? dose.value : undefined;
  };
  const [lemon, citric, vinegar] = [ml('lemon'), ml('citric-acid'), ml('vinegar')];
  if (lemon === undefined) return undefined;
  return {
    bottledLemonJuiceTbsp: spoons(lemon / ML_PER_TBSP),
    ...(citric !== undefined && { citricAcidTsp: spoons(citric / ML_PER_TSP) }),
    ...(vinegar !== undefined && { vinegarTbsp: spoons(vinegar / ML_PER_TBSP) }),
  };
}

/** Whole sixteenths, without the dust of two conversions. */
function spoons(count: number): number {
  return Math.round(count * 16) / 16;
}
