import { type Amount, KG_PER_LB, ML_PER_CUP, sizeOf, type Unit, UNITS, unitWords } from './amount';

/** What is known of one crop, prepared in one form: how its weight, its volume and its boxes hang together. */
export interface ProduceFigures {
  /** As said in a sentence: "crushed strawberries". */
  readonly words: string;
  readonly bushelLb?: number;
  readonly lugLb?: number;
  readonly quartBoxLb?: number;
  /** Cups of the prepared form from a pound as picked. */
  readonly cupsPerLb?: number;
  /** Cups of the prepared form from one piece. */
  readonly cupsPerPiece?: number;
}

export type Conversion =
  { kind: 'converted'; value: number } | { kind: 'refusal'; reason: string; instead: readonly Unit[] };

/**
 * Says an amount in another unit. Mass to mass and volume to volume is exact and needs no produce; everything else goes
 * through the figures of the produce: baskets, lugs and boxes by their published weight, volumes by cups a pound of the
 * form. Weight is always as picked, volume always as prepared.
 *
 * @returns a refusal with the units that would do when a figure it needs is not published
 */
export function convertAmount({ value, unit }: Amount, to: Unit, produce?: ProduceFigures): Conversion {
  const [from, into] = [sizeOf(unit), sizeOf(to)];
  if (unit === to) return { kind: 'converted', value };
  if (from.kind === 'mass' && into.kind === 'mass') return { kind: 'converted', value: (value * from.kg) / into.kg };
  if (from.kind === 'volume' && into.kind === 'volume') {
    return { kind: 'converted', value: (value * from.ml) / into.ml };
  }
  if (from.kind === 'basket' && into.kind === 'basket') {
    return { kind: 'converted', value: (value * from.bushels) / into.bushels };
  }
  const volumes = [from, into].filter(({ kind }) => kind === 'volume' || kind === 'count');
  if (volumes.length === 2) {
    const [fromMl, intoMl] = [mlPerUnit(unit, produce), mlPerUnit(to, produce)];
    if (fromMl === undefined || intoMl === undefined) return unknown(fromMl === undefined ? unit : to, produce);
    return { kind: 'converted', value: (value * fromMl) / intoMl };
  }
  const [fromKg, intoKg] = [kgPerUnit(unit, produce), kgPerUnit(to, produce)];
  if (fromKg === undefined || intoKg === undefined) return unknown(fromKg === undefined ? unit : to, produce);
  return { kind: 'converted', value: (value * fromKg) / intoKg };
}

/** Kilograms, as picked, that one unit of the produce stands for; undefined where nothing is published. */
export function kgPerUnit(unit: Unit, produce?: ProduceFigures): number | undefined {
  const size = sizeOf(unit);
  const ofPounds = (lb: number | undefined) => (lb === undefined ? undefined : lb * KG_PER_LB);
  switch (size.kind) {
    case 'mass':
      return size.kg;
    case 'basket':
      return produce?.bushelLb === undefined ? undefined : ofPounds(size.bushels * produce.bushelLb);
    case 'lug':
      return ofPounds(produce?.lugLb);
    case 'quart-box':
      return ofPounds(produce?.quartBoxLb);
    case 'pint-box':
      return ofPounds(produce?.quartBoxLb === undefined ? undefined : produce.quartBoxLb / 2);
    case 'volume':
    case 'count': {
      const ml = mlPerUnit(unit, produce);
      const cupsPerLb = produce?.cupsPerLb;
      return ml === undefined || cupsPerLb === undefined ? undefined : ofPounds(ml / ML_PER_CUP / cupsPerLb);
    }
  }
}

function mlPerUnit(unit: Unit, produce?: ProduceFigures): number | undefined {
  const size = sizeOf(unit);
  if (size.kind === 'volume') return size.ml;
  return produce?.cupsPerPiece === undefined ? undefined : produce.cupsPerPiece * ML_PER_CUP;
}

function unknown(unit: Unit, produce?: ProduceFigures): Conversion {
  const what = produce?.words ?? 'produce that is not named';
  const { kind } = sizeOf(unit);
  const reason =
    kind === 'volume'
      ? `How many ${UNITS[unit].several} a pound of ${what} fills is not published. Weigh it, or say how it is cut.`
      : `No published weight for a ${unitWords(1, unit)} of ${what}.`;
  return { kind: 'refusal', reason, instead: ['lb', 'kg'] };
}
