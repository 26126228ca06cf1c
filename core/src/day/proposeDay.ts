import { JARS, type JarSize } from '../handbook/jars';
import { type ProduceId } from '../handbook/produce';
import { type ProductId, type ProductRow } from '../handbook/products';
import { type Lot } from '../harvest/onHand';
import { type BatchRecord } from '../yields/batchRecord';
import { estimateJars } from '../yields/estimateJars';
import { productsFromLots } from '../yields/productsFromLots';
import { type LearnedYields } from '../yields/yieldModel';

const DAY_MS = 24 * 60 * 60_000;

/** Produce that keeps longer than this can wait for a day of its own. Common practice. */
const SOON_MS = 4 * DAY_MS;

/** Sizes to fall back on where a household has not made a product yet, largest first. */
const USUAL_JARS: readonly JarSize[] = ['quart', 'pint', 'half-pint'];

/** What one crop on hand could become on the next day. */
export interface Proposal {
  readonly crop: ProduceId;
  readonly product: ProductId;
  readonly jar: JarSize;
  readonly jars: number;
  /** When the first of its lots spoils, epoch milliseconds. */
  readonly until: number;
}

export interface ProposalGround {
  readonly records: readonly BatchRecord[];
  readonly learned: LearnedYields;
  /** Epoch milliseconds. */
  readonly now: number;
  /** Jars a load takes of a product in a jar; undefined where it is not tested or no canner of the household takes it. */
  readonly perLoad: (product: ProductRow, jar: JarSize) => number | undefined;
}

/**
 * What to make next from lots on hand: what spoils within four days, the most urgent first, or else the most urgent crop
 * alone. Each becomes what the household has made of it most often, in the jar it last took; what it has never made becomes
 * the first product that its canners can do. Whole loads, as many as likely come full.
 */
export function proposeDay(lots: readonly Lot[], ground: ProposalGround): Proposal[] {
  const crops = [...new Set(lots.filter(({ place }) => place !== 'freezer').map(({ crop }) => crop))];
  const all = crops.flatMap((crop): Proposal[] => {
    const own = lots.filter((lot) => lot.crop === crop && lot.place !== 'freezer' && lot.ripeness !== 'green');
    if (own.length === 0) return [];
    const until = Math.min(...own.map((lot) => lot.until));
    const made = bestOf(crop, own, ground);
    return made ? [{ crop, until, ...made }] : [];
  });
  const urgent = all.sort((a, b) => a.until - b.until);
  const soon = urgent.filter(({ until }) => until <= ground.now + SOON_MS);
  return soon.length > 0 ? soon : urgent.slice(0, 1);
}

function bestOf(
  crop: ProduceId,
  lots: readonly Lot[],
  { records, learned, perLoad }: ProposalGround,
): Pick<Proposal, 'product' | 'jar' | 'jars'> | undefined {
  const massKg = lots.reduce((sum, lot) => sum + lot.massKg, 0);
  const before = records.filter((record) => record.crop === crop);
  const timesMade = (product: ProductId) => before.filter((record) => record.product === product).length;
  const fitting = productsFromLots([{ crop, massKg }], learned).filter(({ missing }) => missing.length === 0);
  // The sort is stable: what was never made stays as the handbook has it.
  for (const { product } of fitting.sort((a, b) => timesMade(b.product.product) - timesMade(a.product.product))) {
    for (const jar of jarsFor(product.product, before)) {
      const places = perLoad(product, jar);
      const estimate = estimateJars(crop, massKg, product.product, jar, learned);
      if (places === undefined || estimate.kind === 'refusal') continue;
      const jars = wholeLoads(estimate.jars.p50, places);
      if (jars > 0) return { product: product.product, jar, jars };
    }
  }
  return undefined;
}

/** The jar last taken for a product, then the usual ones. */
function jarsFor(product: ProductId, before: readonly BatchRecord[]): JarSize[] {
  const last = [...before].sort((a, b) => b.madeAt - a.madeAt).find((record) => record.product === product);
  const most = [...(last?.jars ?? [])].sort(
    (a, b) => b.count * JARS[b.jar].nominalFlOz - a.count * JARS[a.jar].nominalFlOz,
  );
  return [...new Set([...most.map(({ jar }) => jar), ...USUAL_JARS])];
}

/** As many whole loads as likely come full; a harvest too small for one is one load. */
export function wholeLoads(likely: number, perLoad: number): number {
  return likely < perLoad ? likely : Math.floor(likely / perLoad) * perLoad;
}
