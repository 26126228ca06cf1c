import { type Card } from '../handbook/cards/card';
import { type CropId } from '../handbook/crops';
import { type ProduceId } from '../handbook/produce';
import { type PickUse } from '../harvest/pick';
import { mainLine } from '../recipe/cardCrops';
import { inPack } from '../recipe/packs';
import { type PotOutput } from '../recipe/potOutputs';
import { recipeName } from '../recipe/recipeName';
import { cardOfBatch } from '../yields/cardForCrop';
import { countSizes, type JarCount, type JarSize, quartsPerJar } from '../handbook/jars';
import { type ProductId, productRow } from '../handbook/products';
import { isCold, type Method, type Way } from '../process/method';

/** One canner load of a batch. */
export interface PlannedLoad {
  readonly id: string;
  readonly number: number;
  readonly jars: number;
  /** Where it differs from the batch's. */
  readonly cannerId?: string;
  /** Id of its own card, where one covering liquid goes over several fillings. */
  readonly recipe?: string;
  /** It goes into the canner with this load of another batch: the cook asked for it. */
  readonly withLoadId?: string;
  /** Its jars are of another size than the batch's, with the time that is tested for those. */
  readonly size?: LoadSize;
  /** The way of the canner it goes into, where that is another than its batch's. Worked out, never kept. */
  readonly way?: Method;
}

/** The same jars in another canner, for the same minutes. */
export interface SameHeat {
  readonly jar: JarSize;
  readonly method: Method;
}

/** Another size of jar, and what is tested for it. */
export type LoadSize = Pick<Batch, 'jar' | 'processMinutes' | 'pressurePsi' | 'planned' | 'untested'>;

/** The pot that a batch is taken from. */
export interface FromPot {
  readonly batchId: string;
  readonly kind: PotOutput;
  readonly crop: ProduceId;
}

/** Produce that becomes jars of one product, in one or more canner loads. */
export interface Batch {
  readonly id: string;
  readonly product: ProductId;
  /** Id of the card it is made by; undefined for one planned before batches told: the product's own for its crop. */
  readonly recipe?: string;
  /** Optional steps that are left out. */
  readonly without?: readonly string[];
  readonly jar: JarSize;
  readonly pack: 'hot' | 'raw';
  /** How its jars are processed, or where they are kept cold instead. */
  readonly method: Way;
  /** The kitchen's altitude that day; the tested minutes were looked up for it. */
  readonly altitudeFt: number;
  /** 0 for what is kept cold. */
  readonly processMinutes: number;
  /** Pressure canning only; tested together with the minutes. */
  readonly pressurePsi?: number;
  /** What it was planned with, where the table says another thing now. Worked out, never kept. */
  readonly planned?: { readonly processMinutes: number; readonly pressurePsi?: number; readonly altitudeFt: number };
  /** Why nothing is tested for it any more. Worked out, never kept. */
  readonly untested?: string;
  /** What else its jars may go into at the same minutes. Worked out, never kept. */
  readonly sameHeat?: readonly SameHeat[];
  /** Of what is kept cold `''`: it takes none. */
  readonly cannerId: string;
  /** When the hands begin, epoch milliseconds. */
  readonly startAt: number;
  /** What goes into the pot, as the cook wrote it; it is then held against the formula. */
  readonly ingredients?: readonly string[];
  /** The batch whose unsealed jars are processed again in it: their contents reheated, in clean hot jars with new lids. */
  readonly againOf?: string;
  /** What is taken off its pot at a step of its own, and becomes something else. */
  readonly gives?: readonly PotOutput[];
  /** It is made of what another batch gives, and of no produce of its own: it begins when that is taken off. */
  readonly from?: FromPot;
  readonly uses: readonly PickUse[];
  readonly loads: readonly PlannedLoad[];
}

/** A batch whose jars go into a canner. */
export type CannedBatch = Batch & { readonly method: Method };

/** Whether its jars go into a canner, and are not kept cold. */
export function isCanned(batch: Batch): batch is CannedBatch {
  return !isCold(batch.method);
}

/** Jars of all its loads. */
export function jarsOf({ loads }: Pick<Batch, 'loads'>): number {
  return loads.reduce((sum, { jars }) => sum + jars, 0);
}

/**
 * A batch as one of its loads has it: in that load's own jars and canner, by their own tested time; its other loads then name
 * theirs. Whoever holds a batch and a load holds it so.
 */
export function ofLoad<Of extends Batch>(batch: Of, { size, way }: Pick<PlannedLoad, 'size' | 'way'>): Of {
  if (way !== undefined && way !== batch.method) {
    const loads = batch.loads.map(({ way: own = batch.method as Method, ...load }) => ({ ...load, way: own }));
    return ofLoad({ ...batch, method: way, loads }, { ...(size && { size }) });
  }
  if (!size) return batch;
  const { jar, processMinutes, pressurePsi, planned, untested, ...own } = batch;
  const others: LoadSize = {
    ...{ jar, processMinutes },
    ...(pressurePsi !== undefined && { pressurePsi }),
    ...(planned && { planned }),
    ...(untested !== undefined && { untested }),
  };
  const loads = own.loads.map((load) => (load.size ? load : { ...load, size: others }));
  return { ...own, ...size, loads } as unknown as Of;
}

/** Its jars by their size, in the order of its loads. */
export function jarCounts({ jar, loads }: Pick<Batch, 'jar' | 'loads'>): JarCount[] {
  const counts = new Map<JarSize, number>();
  for (const load of [...loads].sort((a, b) => a.number - b.number)) {
    const size = load.size?.jar ?? jar;
    counts.set(size, (counts.get(size) ?? 0) + load.jars);
  }
  return [...counts].map(([size, count]) => ({ jar: size, count }));
}

/** "6 quarts and 4 pints". */
export function jarsWords(batch: Pick<Batch, 'jar' | 'loads'>): string {
  return countSizes(jarCounts(batch));
}

/** Quarts that all its jars hold, or those of one load. */
export function quartsIn({ jar, loads }: Pick<Batch, 'jar' | 'loads'>): number {
  return loads.reduce((sum, load) => sum + load.jars * quartsPerJar(load.size?.jar ?? jar), 0);
}

/** The part of a batch that goes into one load, by what its jars hold. */
export function shareOf(batch: Pick<Batch, 'jar' | 'loads'>, load: PlannedLoad): number {
  return quartsIn({ jar: batch.jar, loads: [load] }) / quartsIn(batch);
}

/** Produce that goes into it, in kilograms as picked: of one crop, or of all. */
export function massKgOf({ uses }: Pick<Batch, 'uses'>, crop?: CropId): number {
  return uses.reduce((sum, use) => sum + (crop === undefined || use.crop === crop ? use.massKg : 0), 0);
}

/** The part of its produce that comes out of the freezer, 0 to 1. */
export function frozenPart({ uses }: Pick<Batch, 'uses'>): number {
  const all = massKgOf({ uses });
  return all > 0 ? uses.reduce((sum, { frozenKg = 0 }) => sum + frozenKg, 0) / all : 0;
}

/** The main crop of a batch: of those it uses the one its card is made of first of all. */
export function mainCropOf({
  product,
  recipe,
  uses,
  from,
}: Pick<Batch, 'product' | 'recipe' | 'uses' | 'from'>): ProduceId | undefined {
  if (from) return from.crop;
  const crops = uses.flatMap(({ crop }) => crop ?? []);
  const card = cardOfBatch(product, recipe, crops[0]);
  const leads = card && mainLine(card)?.crops;
  return crops.find((crop) => leads?.includes(crop)) ?? crops[0];
}

/** What a batch's card is found by. */
export type MadeBy = Pick<Batch, 'product' | 'recipe' | 'uses' | 'from'> & Partial<Pick<Batch, 'pack'>>;

/** The card a batch is made by, with the steps of its pack; undefined where none may be offered. */
export function cardOf(batch: MadeBy): Card | undefined {
  const card = cardOfBatch(batch.product, batch.recipe, batch.from?.crop ?? batch.uses[0]?.crop);
  return card && inPack(card, batch.pack);
}

/** The card one load of a batch is made by: of several fillings its own. */
export function cardOfLoad(batch: MadeBy, { recipe }: Pick<PlannedLoad, 'recipe'>): Card | undefined {
  return recipe === undefined ? cardOf(batch) : cardOf({ ...batch, recipe });
}

/**
 * What a batch is called: "Strawberry jam"; a load of it by its own filling, where there are several.
 *
 * @param load undefined for the batch as a whole
 */
export function nameOf(
  batch: Pick<Batch, 'product' | 'recipe' | 'uses' | 'from'> & Partial<Pick<Batch, 'loads'>>,
  load?: Pick<PlannedLoad, 'recipe'>,
): string {
  if (load?.recipe !== undefined) return recipeName({ product: batch.product, recipe: load.recipe });
  if (batch.loads?.some(({ recipe }) => recipe !== undefined)) return productRow(batch.product).name;
  const crop = mainCropOf(batch);
  return recipeName({ product: batch.product, recipe: cardOf(batch)?.card, ...(crop && { crop }) });
}
