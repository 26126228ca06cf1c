import { JARS, type JarSize } from '../handbook/jars';

/** Acid for one jar: any one of the three. Bottled lemon juice only; vinegar of at least 5 %. */
export interface AcidDose {
  readonly bottledLemonJuiceTbsp: number;
  readonly citricAcidTsp: number;
  readonly vinegarTbsp: number;
}

/** Published for a pint; a quart takes twice as much. USDA Complete Guide to Home Canning, 2015, guide 3, as recalled. */
const PER_PINT: AcidDose = { bottledLemonJuiceTbsp: 1, citricAcidTsp: 1 / 4, vinegarTbsp: 2 };

/** The finest spoon of each: half a tablespoon, an eighth of a teaspoon. */
const FINEST: AcidDose = { bottledLemonJuiceTbsp: 1 / 2, citricAcidTsp: 1 / 8, vinegarTbsp: 1 / 2 };

/** The dose for a jar, in proportion to its size and rounded up to a spoon, never down (handbook rule 2). */
export function acidDose(jar: JarSize): AcidDose {
  const pints = JARS[jar].nominalFlOz / JARS.pint.nominalFlOz;
  return {
    bottledLemonJuiceTbsp: roundUp(PER_PINT.bottledLemonJuiceTbsp * pints, FINEST.bottledLemonJuiceTbsp),
    citricAcidTsp: roundUp(PER_PINT.citricAcidTsp * pints, FINEST.citricAcidTsp),
    vinegarTbsp: roundUp(PER_PINT.vinegarTbsp * pints, FINEST.vinegarTbsp),
  };
}

function roundUp(value: number, step: number): number {
  return Math.ceil(value / step - 1e-9) * step;
}
