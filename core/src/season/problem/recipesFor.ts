import { type Vessels } from '../../canner/widestCanner';
import { type Batch } from '../../day/batch';
import { batchOf, type BatchWish } from '../../day/batchOf';
import { coldBatchOfJars } from '../../day/coldBatchOf';
import { type DayKitchen } from '../../day/dayKitchen';
import { dayOf } from '../../day/dayOf';
import { BURNERS, cannerResource, HANDS } from '../../day/dayProblem';
import { DAY_MIN, type KitchenSetup } from '../../day/kitchenSetup';
import { planDay } from '../../day/planDay';
import { daySequence } from '../../day/daySequence';
import { type JarSize, quartsPerJar } from '../../handbook/jars';
import { cardsOf } from '../../handbook/cards';
import { type ProduceId } from '../../handbook/produce';
import { findProduct, productRow, type ProductRow } from '../../handbook/products';
import { coldPlaceOf } from '../../process/coldPlace';
import { type HouseholdPages } from '../../process/findProcess';
import { type Cold } from '../../process/method';
import { quartsPerBatch } from '../../recipe/cardColumns';
import { setsByTheBox } from '../../recipe/pots';
import { type CropCard, cardForCrop, quartsOfBatch } from '../../yields/cardForCrop';
import { type LearnedYields } from '../../yields/yieldModel';
import { givesOf, takesOf } from './byProductShares';
import { mainCrops, sharesOf } from './cropShares';
import { type CropShare, type SeasonGoal, type SeasonRecipe } from './seasonProblem';
import { type Vessel, vesselsFor } from './vesselsFor';

/** The kitchen that a season is planned for. */
export interface SeasonKitchen extends Vessels, Pick<DayKitchen, 'setup' | 'heatUpsTaken' | 'restsTaken' | 'paces'> {
  readonly altitudeFt: number;
  readonly pages: HouseholdPages;
  readonly learned: LearnedYields;
}

/** A goal that no recipe serves, and why. */
export interface LeftOut {
  readonly goal: SeasonGoal;
  readonly reason: string;
}

/** Food cooked to pieces may have been soft, and may have been frozen. Common practice. */
const TO_PIECES = /^(food-mill|crush|stem-crush|measure-juice|drip|cook-down)/;
/** A wait of so long is a night: the jars are filled the next morning. */
const NIGHT_MIN = 5 * 60;
/** Nobody runs more loads of one product on one day. */
const MOST_LOADS = 5;
const NO_TIME = 0;
/** One product alone is laid out at once. */
const FEW_NODES = 40;
/** Whose hours are not looked at: those of the day are. */
const ALWAYS_THERE = (setup: KitchenSetup): KitchenSetup => ({
  ...setup,
  cooks: setup.cooks.map((cook) => ({ ...cook, fromMin: 0, toMin: DAY_MIN, breaks: [] })),
});

/**
 * Every way to serve these goals in this kitchen: a tested process, a crop that is grown, a canner that takes the jar. Hours
 * come from the day's own tasks, so that a season counts the same minutes as the day it plans.
 *
 * @param sure chance with which the pounds a jar takes are enough: 0.5 for the middle
 * @param grown crops that there is anything of, now or later
 */
export function recipesFor(
  goals: readonly SeasonGoal[],
  grown: ReadonlySet<ProduceId>,
  kitchen: SeasonKitchen,
  sure = 0.5,
): { readonly recipes: SeasonRecipe[]; readonly leftOut: LeftOut[]; readonly firstHeatMinutes: number } {
  const recipes: SeasonRecipe[] = [];
  const leftOut: LeftOut[] = [];
  for (const goal of goals) {
    const found = recipesOf(goal, grown, kitchen, sure);
    if (typeof found === 'string') leftOut.push({ goal, reason: found });
    else recipes.push(...found);
  }
  const heats = recipes.flatMap((recipe) => firstHeats(recipe, kitchen));
  return {
    recipes: withByProducts(recipes),
    leftOut,
    firstHeatMinutes: heats.length === 0 ? 0 : Math.min(...heats),
  };
}

function recipesOf(
  { product, jar }: SeasonGoal,
  grown: ReadonlySet<ProduceId>,
  kitchen: SeasonKitchen,
  sure: number,
): SeasonRecipe[] | string {
  const row = findProduct(product);
  if (!row) return 'It is not in the handbook.';
  const into = coldPlaceOf(row.product, kitchen.pages);
  const vessels = into ? [] : vesselsFor(row, jar, kitchen);
  if (typeof vessels === 'string') return vessels;
  const mains = mainCrops(row).filter((crop) => grown.has(crop));
  if (mains.length === 0) return 'Nothing that it is made of is grown or on hand.';
  const recipes = mains.flatMap((crop) => {
    const shares = sharesOf(row, crop, jar, grown, kitchen.learned, sure);
    return (shares && recipeOf(row, jar, crop, shares, { vessels, ...(into && { into }) }, kitchen)) ?? [];
  });
  return recipes.length > 0 ? recipes : 'No yield is published for it from what is grown.';
}

function recipeOf(
  row: ProductRow,
  jar: JarSize,
  crop: ProduceId,
  crops: readonly CropShare[],
  { vessels, into }: Pick<SeasonRecipe, 'into'> & { readonly vessels: readonly Vessel[] },
  kitchen: SeasonKitchen,
): SeasonRecipe | undefined {
  const own = cardForCrop(row.product, crop);
  const perLoad = into ? batchJars(row, jar) : Math.min(...vessels.map(({ jars }) => jars));
  const pot = own && potJars(own, jar);
  const atOnce = Math.min(perLoad, pot ?? perLoad);
  const kgPerJar = crops[0]?.kgPerJar ?? 0;
  const minutes = (vessel: Vessel | Cold | undefined, loads: readonly number[]) =>
    vessel && minutesOf(row, jar, vessel, loads, crops, kitchen);
  const first = into ?? vessels[0];
  const half = minutes(first, [Math.ceil(atOnce / 2)]);
  const one = minutes(first, [atOnce]);
  const two = minutes(first, [atOnce, atOnce]);
  if (!half || !one || !two) return undefined;
  const canning = vessels.map((vessel) => minutes(vessel, [atOnce])?.canner ?? 0);
  const perJar = Math.max(0, (one.hands - half.hands) / Math.max(1, atOnce - Math.ceil(atOnce / 2)));
  const perLoadMinutes = Math.max(0, two.hands - one.hands - perJar * atOnce);
  const gives = givesOf(row.product, { crop, kgPerJar });
  const card = cardForCrop(row.product, crop)?.card ?? cardsOf(row.product)[0];
  const pieces = card?.steps.some(({ step }) => TO_PIECES.test(step)) ?? false;
  const waits = card ? daySequence(card).map(({ step }) => step.waitMinutes[0]) : [];
  return {
    id: `${row.product} ${jar} ${crop}`,
    product: row.product,
    jar,
    crops,
    ...(gives && { gives }),
    softToo: pieces,
    frozenToo: pieces,
    vessels: vessels.map(({ canner, method }) => ({ canner: canner.id, method })),
    ...(into && { into }),
    perLoad: atOnce,
    wholePots: pot !== undefined && pot <= perLoad,
    // What keeps for weeks is made a batch at a time.
    mostLoadsADay: into ? 1 : MOST_LOADS,
    hands: {
      begin: Math.max(0, one.hands - perLoadMinutes - perJar * atOnce),
      load: perLoadMinutes,
      jar: perJar,
    },
    cannerMinutes: Math.max(0, ...canning),
    burnerMinutes: Math.max(0, two.burner - one.burner),
    stock: [],
    leastMinutes: one.least,
    nextMinutes: Math.max(0, two.least - one.least),
    overnight: waits.some((wait) => wait >= NIGHT_MIN),
  };
}

/** Jars of one batch of a recipe of one's own, of all its fillings. */
function batchJars({ product }: ProductRow, jar: JarSize): number {
  const quarts = cardsOf(product).reduce((sum, card) => sum + (quartsPerBatch(card)?.mid ?? 0), 0);
  return Math.max(1, Math.floor(quarts / quartsPerJar(jar) + 1e-6));
}

/** Jars that one pot fills where a card is made whole or not at all. */
function potJars(own: CropCard, jar: JarSize): number | undefined {
  if (!setsByTheBox(own.card)) return undefined;
  return Math.max(1, Math.floor(quartsOfBatch(own).low / quartsPerJar(jar) + 1e-6));
}

/** Minutes until the water of each of its canners is hot enough for a first load. */
function firstHeats({ product, jar, perLoad, crops, vessels }: SeasonRecipe, kitchen: SeasonKitchen): number[] {
  const uses = crops.map(({ crop, kgPerJar }) => ({ pickId: '', crop, massKg: kgPerJar * perLoad, softKg: 0 }));
  return vessels.flatMap(({ canner: cannerId, method }) => {
    const wish = { product: productRow(product), jar, loads: [perLoad], uses, startAt: NO_TIME, method, cannerId };
    const batch = batchOf(wish, kitchen, kitchen.pages, (of) => of);
    const { tasks } = batch ? dayOf([batch], { ...kitchen, startMinute: 0 }) : { tasks: [] };
    return tasks.filter(({ kind }) => kind === 'preheat').map(({ minutes }) => minutes.p50);
  });
}

/** What the day's own tasks say of one batch alone. */
function minutesOf(
  row: ProductRow,
  jar: JarSize,
  vessel: Vessel | Cold,
  loads: readonly number[],
  crops: readonly CropShare[],
  kitchen: SeasonKitchen,
): { hands: number; canner: number; burner: number; least: number } | undefined {
  const jars = sumOf(loads);
  const uses = crops.map((share) => ({ pickId: '', crop: share.crop, massKg: share.kgPerJar * jars, softKg: 0 }));
  const batch = batchIn(vessel, { product: row, jar, loads, uses, startAt: NO_TIME }, kitchen);
  if (!batch) return undefined;
  const { tasks } = dayOf([batch], { ...kitchen, startMinute: 0 });
  const pot = cannerResource(batch.cannerId);
  const sum = (of: string, fits: (needs: Readonly<Record<string, number>>) => boolean = () => true) =>
    tasks
      .filter(({ kind, needs }) => kind !== 'preheat' && fits(needs))
      .reduce((all, { minutes, needs }) => all + minutes.p50 * Math.min(1, needs[of] ?? 0), 0);
  const planner = planDay({
    ...kitchen,
    setup: ALWAYS_THERE(kitchen.setup),
    batches: [batch],
    startMinute: 0,
    seed: 1,
  });
  const least = planner.kind === 'refusal' ? Infinity : (planner.step(FEW_NODES).plan?.lowerBoundMin ?? 0);
  return {
    hands: sum(HANDS),
    canner: sum(pot) / loads.length,
    burner: sum(BURNERS, (needs) => !(pot in needs)),
    least,
  };
}

function batchIn(
  vessel: Vessel | Cold,
  wish: Omit<BatchWish, 'method' | 'cannerId'>,
  kitchen: SeasonKitchen,
): Batch | undefined {
  if (typeof vessel !== 'string') {
    const { canner, method } = vessel;
    return batchOf({ ...wish, method, cannerId: canner.id }, kitchen, kitchen.pages, (of) => of);
  }
  const { loads, ...cold } = wish;
  let made = 0;
  return coldBatchOfJars({ ...cold, into: vessel, jars: sumOf(loads) }, kitchen.altitudeFt, () => String(made++));
}

function sumOf(counts: readonly number[]): number {
  return counts.reduce((sum, count) => sum + count, 0);
}

/** Products that begin with what another leaves over get a second recipe for it, where that other is planned at all. */
function withByProducts(recipes: readonly SeasonRecipe[]): SeasonRecipe[] {
  const given = new Set(recipes.flatMap(({ gives }) => gives?.kind ?? []));
  const second = recipes.flatMap((recipe): SeasonRecipe[] => {
    const takes = recipe.crops[0] && takesOf(recipe.product, recipe.jar, recipe.crops[0]);
    if (!takes || !given.has(takes.kind)) return [];
    const { gives: _, ...rest } = recipe;
    return [{ ...rest, id: `${recipe.id} from ${takes.kind}`, crops: [], takes }];
  });
  const byId = new Map([...recipes, ...second].map((recipe) => [recipe.id, recipe]));
  return [...byId.values()];
}
