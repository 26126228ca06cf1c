import { type PickUse } from '../harvest/pick';
import { type JarSize } from '../handbook/jars';
import { type ProductId } from '../handbook/products';
import { type Method } from '../process/method';

/** One canner load of a batch. */
export interface PlannedLoad {
  readonly id: string;
  readonly number: number;
  readonly jars: number;
  /** Where it differs from the batch's. */
  readonly cannerId?: string;
  /** It goes into the canner with this load of another batch: the cook asked for it. */
  readonly withLoadId?: string;
}

/** Produce that becomes jars of one product, in one or more canner loads. */
export interface Batch {
  readonly id: string;
  readonly product: ProductId;
  readonly jar: JarSize;
  readonly pack: 'hot' | 'raw';
  readonly method: Method;
  /** The kitchen's altitude that day; the tested minutes were looked up for it. */
  readonly altitudeFt: number;
  readonly processMinutes: number;
  /** Pressure canning only; tested together with the minutes. */
  readonly pressurePsi?: number;
  readonly cannerId: string;
  /** When the hands begin, epoch milliseconds. */
  readonly startAt: number;
  /** What goes into the pot, as the cook wrote it; it is then held against the formula. */
  readonly ingredients?: readonly string[];
  /** The batch whose unsealed jars are processed again in it: their contents reheated, in clean hot jars with new lids. */
  readonly againOf?: string;
  readonly uses: readonly PickUse[];
  readonly loads: readonly PlannedLoad[];
}

/** Jars of all its loads. */
export function jarsOf({ loads }: Pick<Batch, 'loads'>): number {
  return loads.reduce((sum, { jars }) => sum + jars, 0);
}

/** Produce that goes into it, in kilograms as picked. */
export function massKgOf({ uses }: Pick<Batch, 'uses'>): number {
  return uses.reduce((sum, { massKg }) => sum + massKg, 0);
}
