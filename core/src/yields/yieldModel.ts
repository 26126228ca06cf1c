import { type ProduceId } from '../handbook/produce';
import { isOwnProduct } from '../handbook/ownIds';
import { type ProductId } from '../handbook/products';
import { KG_PER_LB } from '../measure/amount';
import { addedQuartsOf, type BatchRecord, lbPerQuartOf } from './batchRecord';
import { dot } from '../math/dot';
import { type MixturePart, mixtureOf, mixtureQuantile, NEGLIGIBLE_LOG } from './mixture';
import { printedYield } from './printedYield';
import { type Group, recipeOf, type Solved, solveGroups, type YieldSign } from './signGroups';
import { BATCH_SPREADS, CROP, DEVIATIONS, HOUSEHOLD, productSpreadOf, RECIPE } from './yieldPrior';

/** A batch of a year ago counts four fifths of one of today: varieties, ground and hands change. */
const KEPT_A_YEAR = 0.8;
const YEAR_MS = 365.25 * 24 * 60 * 60_000;

/** A product of no record. */
const NEVER_MADE = 'own:never-made' as const;

/** What the household's batches have taught about its yields. */
export interface LearnedYields {
  readonly records: readonly BatchRecord[];
  /** Deviation of the next batch's pounds a quart from the printed ones, as a mixture on the log scale. */
  deviationOf(crop: ProduceId, product: ProductId): readonly MixturePart[];
  /**
   * Pounds as picked for what the handbook has from one, against that: the part of the deviation that all products of a crop
   * share, as trimming and variety are. The rest is how far a recipe's page is off. The middle of what is known.
   */
  trimOf(crop: ProduceId): number;
  /** Quarts of water and sugar that are in the jars for each pound of produce: what was added before is added again. */
  addedOf(crop: ProduceId, product: ProductId): number;
}

/**
 * Learns from written-down batches. Deviations of a batch = the household's own + the crop's (trim, variety) + the
 * product's (how thick, how packed) + the batch's; the first two with rare wide values beside the usual ones. Everything
 * is worked out exactly, but for a grid over the household's deviation and the batch's spread: given these two, crops
 * that share no product are independent, so each group is solved by itself.
 *
 * @param records in any order; those not to be learned from, or of which nothing is printed, are left out
 * @param now epoch milliseconds
 */
export function learnYields(records: readonly BatchRecord[], now: number): LearnedYields {
  const counted = records.filter(({ learnFrom }) => learnFrom);
  const signs = counted.flatMap((record): YieldSign[] => {
    const printed = printedYield(record.product, record.crop);
    const lbPerQuart = lbPerQuartOf(record);
    if (!printed || lbPerQuart === undefined) return [];
    const years = Math.max(0, now - record.madeAt) / YEAR_MS;
    const deviation = Math.log(lbPerQuart / printed.medianLbPerQuart);
    return [{ crop: record.crop, product: record.product, deviation, staleness: KEPT_A_YEAR ** -years }];
  });
  // A recipe of the household's own learns from its own batches alone, and teaches nothing else.
  const model = new YieldModel(signs.filter(({ product }) => !isOwnProduct(product)));
  const owns = new Map<ProductId, YieldModel>();
  const ownModel = (product: ProductId) => {
    const own = owns.get(product) ?? new YieldModel(signs.filter((sign) => sign.product === product));
    owns.set(product, own);
    return own;
  };
  const known = new Map<string, readonly MixturePart[]>();
  const trims = new Map<ProduceId, number>();
  return {
    records: counted,
    trimOf: (crop) => {
      // What a product that nobody ever made would need.
      const trim = trims.get(crop) ?? Math.exp(mixtureQuantile(model.deviationOf(crop, NEVER_MADE, 0), 0.5));
      trims.set(crop, trim);
      return trim;
    },
    addedOf: (crop, product) => addedAgain(counted, { crop, product, now }),
    deviationOf: (crop, product) => {
      const spread = productSpreadOf({ product, crop });
      const isOwn = isOwnProduct(product);
      const isSeen = isOwn || signs.some((sign) => sign.product === product);
      // Products that were never made differ by their spread alone.
      const key = isSeen ? `${crop} ${product}` : `${crop} ${spread.toFixed(2)}`;
      const parts = known.get(key) ?? (isOwn ? ownModel(product) : model).deviationOf(crop, product, spread);
      known.set(key, parts);
      return parts;
    },
  };
}

/** As much a pound as on an average of its own batches, newer ones counting more; none where none was written down. */
function addedAgain(
  records: readonly BatchRecord[],
  { crop, product, now }: { crop: ProduceId; product: ProductId; now: number },
): number {
  let [quarts, pounds] = [0, 0];
  for (const record of records) {
    if (record.product !== product || record.crop !== crop) continue;
    const counts = KEPT_A_YEAR ** (Math.max(0, now - record.madeAt) / YEAR_MS);
    quarts += counts * addedQuartsOf(record);
    pounds += (counts * record.massKg) / KG_PER_LB;
  }
  return pounds > 0 ? quarts / pounds : 0;
}

class YieldModel {
  private readonly groups: readonly Group[];
  /** For each batch spread and household deviation, the sum over all groups. */
  private readonly logs: readonly (readonly number[])[];

  constructor(signs: readonly YieldSign[]) {
    this.groups = solveGroups(signs);
    const prior = DEVIATIONS.map((deviation, i) => {
      const width = ((DEVIATIONS[i + 1] ?? deviation) - (DEVIATIONS[i - 1] ?? deviation)) / 2;
      return Math.log(
        width * HOUSEHOLD.reduce((sum, { chance, spread }) => sum + chance * normalDensity(deviation, spread), 0),
      );
    });
    this.logs = BATCH_SPREADS.map(({ chance }, spreadIndex) =>
      prior.map((log, i) =>
        this.groups.reduce((sum, group) => sum + (group.logs[spreadIndex]?.[i] ?? 0), log + Math.log(chance)),
      ),
    );
  }

  deviationOf(crop: ProduceId, product: ProductId, productSpread: number): MixturePart[] {
    const touched = this.groups.filter(({ signs }) =>
      signs.some((sign) => sign.crop === crop || sign.product === product),
    );
    const recipe = recipeOf({ crop, product });
    const parts: { log: number; mean: number; variance: number }[] = [];
    let best = -Infinity;
    for (const [spreadIndex, { spread }] of BATCH_SPREADS.entries()) {
      const ways = waysThrough(touched, spreadIndex);
      for (const way of ways) {
        const ofCrop = way.flatMap(({ cropSpreads }) => cropSpreads.get(crop) ?? []).map(settled);
        const ofRecipe = way.flatMap(({ recipeSpreads }) => recipeSpreads.get(recipe) ?? []).map(settled);
        for (const [width, far] of pairs(ofCrop.length > 0 ? ofCrop : CROP, ofRecipe.length > 0 ? ofRecipe : RECIPE)) {
          const spreads = { crop: width.spread, product: productSpread, recipe: far.spread };
          const own = width.spread ** 2 + productSpread ** 2 + far.spread ** 2 + spread ** 2;
          const line = predict(way, touched, { crop, product }, spreads);
          const variance = Math.max(1e-6, own - line.known);
          for (const [i, deviation] of DEVIATIONS.entries()) {
            let log = (this.logs[spreadIndex]?.[i] ?? -Infinity) + Math.log(width.chance * far.chance);
            // The touched groups' sums are replaced by the one way through them that is meant here.
            for (const [g, group] of touched.entries())
              log += (way[g]?.logs[i] ?? 0) - (group.logs[spreadIndex]?.[i] ?? 0);
            if (log > best - NEGLIGIBLE_LOG)
              parts.push({ log, mean: deviation + line.at0 + line.slope * deviation, variance });
            best = Math.max(best, log);
          }
        }
      }
    }
    return mixtureOf(parts);
  }
}

interface Spread {
  readonly chance: number;
  readonly spread: number;
}

/** What a way through the groups has settled already. */
function settled(spread: number): Spread {
  return { chance: 1, spread };
}

function pairs<A, B>(some: readonly A[], others: readonly B[]): (readonly [A, B])[] {
  return some.flatMap((a) => others.map((b) => [a, b] as const));
}

/** What a group's batches say of the next one, as a line over the household's deviation; `known` is the variance it takes away. */
function predict(
  way: readonly Solved[],
  touched: readonly Group[],
  next: Pick<YieldSign, 'crop' | 'product'>,
  spreads: { readonly crop: number; readonly product: number; readonly recipe: number },
): { at0: number; slope: number; known: number } {
  let [at0, slope, known] = [0, 0, 0];
  for (const [g, { solvedDeviations, solvedOnes, solve }] of way.entries()) {
    const shared = (touched[g]?.signs ?? []).map(
      (sign) =>
        (sign.crop === next.crop ? spreads.crop ** 2 : 0) +
        (sign.product === next.product ? spreads.product * productSpreadOf(sign) : 0) +
        (recipeOf(sign) === recipeOf(next) ? spreads.recipe ** 2 : 0),
    );
    at0 += dot(shared, solvedDeviations);
    slope -= dot(shared, solvedOnes);
    known += dot(shared, solve(shared));
  }
  return { at0, slope, known };
}

/** Every choice of one way through each of the groups, of one batch spread. */
function waysThrough(groups: readonly Group[], spreadIndex: number): Solved[][] {
  return groups.reduce<Solved[][]>(
    (ways, { solved }) =>
      ways.flatMap((way) => solved.filter((each) => each.spreadIndex === spreadIndex).map((each) => [...way, each])),
    [[]],
  );
}

function normalDensity(x: number, spread: number): number {
  return Math.exp(-((x / spread) ** 2) / 2) / (spread * Math.sqrt(2 * Math.PI));
}
