import { type JarCount, type JarSize, quartsPerJar } from '../handbook/jars';
import { type ProduceId } from '../handbook/produce';
import { type ProductId, productRow } from '../handbook/products';
import { KG_PER_LB, ML_PER_QUART } from '../measure/amount';

/** How a batch went, where it did not go well. */
export const FAULTS = [
  'floated',
  'siphoned',
  'browned',
  'too thick',
  'too thin',
  'soft',
  'did not set',
  'buckled lid',
  'broken jar',
] as const;
export type Fault = (typeof FAULTS)[number];

/** Where peels, cores and pulp go. */
export const TRIMMINGS_TO = ['kept', 'animals', 'compost'] as const;
export type TrimmingsTo = (typeof TRIMMINGS_TO)[number];

/** What became of a batch, as the cook wrote it down: produce in, jars out. */
export interface BatchRecord {
  readonly id: string;
  /** The planned batch it tells of; null for one that was never planned here. */
  readonly batchId: string | null;
  readonly product: ProductId;
  /** The crop that is weighed; what else goes in follows from the formula. */
  readonly crop: ProduceId;
  /** Of that crop, as picked. */
  readonly massKg: number;
  /** Water added that is in the jars, and sugar, where that counts: {@link countsAdded}. */
  readonly waterMl: number;
  readonly sugarKg: number;
  readonly jars: readonly JarCount[];
  /** The jar that was not full, from 0 to under 1 of its size, for the refrigerator. */
  readonly partJar: { readonly jar: JarSize; readonly part: number } | null;
  /** Epoch milliseconds. */
  readonly madeAt: number;
  readonly note: string;
  /** Make of the jars and of the lids, in the household's own words: breakages and buckled lids follow a make. */
  readonly jarMake: string;
  readonly lidMake: string;
  /** Brine or syrup that was left, for another product. */
  readonly leftoverMl: number;
  readonly faults: readonly Fault[];
  /**
   * What else came of it, each as it was measured; null for what nobody measured: it is never worked out from the rest. Juice
   * that was ladled off; peels, cores and pulp; what cooked off.
   */
  readonly juiceMl: number | null;
  readonly trimmingsKg: number | null;
  readonly cookedOffMl: number | null;
  /** Where peels, cores and pulp went; null where nobody told. */
  readonly trimmingsTo: TrimmingsTo | null;
  /** False where the cook says that this one tells nothing: a jar broke, half was eaten. */
  readonly learnFrom: boolean;
}

/** What a record says of makes, of faults and of what else came of it where nothing was told. */
export const NOTHING_MORE = {
  jarMake: '',
  lidMake: '',
  leftoverMl: 0,
  faults: [],
  juiceMl: null,
  trimmingsKg: null,
  cookedOffMl: null,
  trimmingsTo: null,
} as const satisfies Partial<BatchRecord>;

/** Room that dissolved sugar takes, in litres a kilogram. CRC Handbook, partial specific volume of sucrose, from memory. */
const SUGAR_ML_PER_KG = 620;

/**
 * Whether water or sugar added to a product count against its yield: in a sauce or a juice without a formula they are in
 * the jars as if they had been produce. In a formula they are part of its proportion, in a jar of halves they are the
 * syrup that the printed yield reckons with.
 */
export function countsAdded(product: ProductId): boolean {
  const { form, hasFormula } = productRow(product);
  return !hasFormula && (form === 'sauce' || form === 'juice');
}

/** Quarts in all jars, the part jar among them. */
export function quartsOf({ jars, partJar }: Pick<BatchRecord, 'jars' | 'partJar'>): number {
  const part = partJar ? partJar.part * quartsPerJar(partJar.jar) : 0;
  return jars.reduce((sum, { jar, count }) => sum + count * quartsPerJar(jar), part);
}

/** Quarts in the jars that are water or sugar added, where that counts. */
export function addedQuartsOf({
  product,
  waterMl,
  sugarKg,
}: Pick<BatchRecord, 'product' | 'waterMl' | 'sugarKg'>): number {
  return countsAdded(product) ? (waterMl + sugarKg * SUGAR_ML_PER_KG) / ML_PER_QUART : 0;
}

/** Pounds of produce, as picked, that went into each quart of jar; undefined when no jar came out. */
export function lbPerQuartOf(record: BatchRecord): number | undefined {
  const quarts = quartsOf(record) - addedQuartsOf(record);
  return quarts > 0 && record.massKg > 0 ? record.massKg / KG_PER_LB / quarts : undefined;
}
