import { type Pack } from '../handbook/boilingWater';
import { rememberedOfPages } from '../handbook/laidBeside';
import { isJarSize, JAR_SIZES, JARS, type JarSize } from '../handbook/jars';
import { findProduct, type ProductId, type ProductRow } from '../handbook/products';
import { hasSureCard } from '../handbook/cards';
import { nearProducts } from '../handbook/nearProducts';
import { type Confidence } from '../handbook/source';
import { type AcidDose } from './acidDose';
import { boilingPointF } from './boilingPoint';
import { type ChangeVerdict } from '../recipe/change';
import { neverIn } from '../recipe/compareCards';
import { isOwnProduct, type OwnProductId } from '../handbook/ownIds';
import { coldWays } from './coldWays';
import { type HouseholdSource, ownSourceFor } from './householdSource';
import { judgedOnce } from './ownShelf';
import { isNoLarger, type OwnRecipe, recipeOf, sourceOfRecipe } from './ownRecipe';
import { isMethod, type Method, METHOD_WORDS, METHODS } from './method';
import { neverOnShelf, neverRefusal, notAProcess } from './neverOnShelf';
import { quoted, type Refusal, refusal } from './refusal';
import { similarProducts } from './similarProducts';
import { sterilizeJars } from './sterilizeJars';
import { type Alternative, named, publishedRow, type TestedRow } from './testedRow';
import { bandAt, withOwnSource } from './withOwnSource';

export interface ProcessQuestion {
  /** Id of a product, or a name the household gave a source of its own. */
  readonly product: string;
  readonly pack: string;
  readonly jar: string;
  readonly method: string;
}

/** What the household has added to the handbook. */
export interface HouseholdPages {
  /** The day a row was held against the page, by row id: "2026-08-29". */
  readonly checkedRows?: ReadonlyMap<string, string>;
  readonly sources?: readonly HouseholdSource[];
  /** Recipes of its own, older pages among them. */
  readonly recipes?: readonly OwnRecipe[];
}

export interface ProcessAlternative extends Alternative {
  readonly sterilizeJars?: { readonly minutes: number };
  readonly checkedOn?: string;
}

export interface TestedProcess {
  readonly kind: 'tested';
  readonly product: string;
  readonly pack: Pack;
  readonly jar: JarSize;
  readonly method: Method;
  readonly altitudeFt: number;
  readonly minutes: number;
  /** Pressure canning only. */
  readonly pressurePsi?: number;
  readonly ventMinutes?: number;
  /** Low-temperature bath only: held between these, by thermometer. */
  readonly bathF?: { readonly low: number; readonly high: number };
  /** Steam only: the column's temperature here, at which the clock starts. */
  readonly steamF?: number;
  readonly headspaceIn: number;
  readonly acid?: AcidDose;
  readonly sterilizeJars?: { readonly minutes: number };
  readonly alternatives: readonly ProcessAlternative[];
  readonly conditions: readonly string[];
  readonly source: string;
  readonly confidence: Confidence;
  readonly recalled: boolean;
  /** The row the figures stand in; undefined for a source of the household's own. */
  readonly rowId?: string;
  readonly checkedOn?: string;
  readonly own?: true;
}

/** Handbook rule 5. */
const VENT_MINUTES = 10;

/** Handbook rule 8. */
export const BATH_F = { low: 180, high: 185 } as const;

/**
 * The tested process for one kitchen. Total: any text ends in a tested row or a refusal with a way out.
 * The minutes are read from a table, the handbook's or the household's own source; they are never computed.
 *
 * @param changes what the batch does to the formula; one that rule 17 does not allow ends the tested time
 * @throws RangeError for an altitude outside 0 to 12,000 ft
 */
export function findProcess(
  question: ProcessQuestion & { readonly altitudeFt: number },
  pages: HouseholdPages = {},
  changes: readonly ChangeVerdict[] = [],
): TestedProcess | Refusal {
  const row = findTestedRow(question, pages, changes);
  return row.kind === 'refusal' ? row : processAt(row, question.altitudeFt, pages.checkedRows);
}

/**
 * What a tested row says in one kitchen, with the day its page was checked.
 *
 * @throws RangeError for an altitude outside 0 to 12,000 ft
 */
export function processAt(
  row: TestedRow,
  altitudeFt: number,
  checkedRows?: ReadonlyMap<string, string>,
): TestedProcess | Refusal {
  const answer = bandAt(row, altitudeFt);
  if (answer.kind === 'refusal') {
    const { kind, cause, reason, instead } = answer;
    return { kind, cause, reason, instead };
  }
  const { minutes, pressurePsi, alternatives, source, confidence, recalled, rowId, own } = answer;
  const checked = (id: string | undefined) => (id === undefined ? undefined : checkedRows?.get(id));
  const sterile = sterilizeJars(minutes, altitudeFt);
  const checkedOn = checked(rowId);
  return {
    kind: 'tested',
    product: row.food,
    pack: row.pack,
    jar: row.jar,
    method: row.method,
    altitudeFt,
    minutes,
    ...(pressurePsi !== undefined && { pressurePsi, ventMinutes: VENT_MINUTES }),
    ...(row.method === 'low-temperature-bath' && { bathF: BATH_F }),
    ...(row.method === 'steam' && { steamF: Math.round(boilingPointF(altitudeFt) * 10) / 10 }),
    headspaceIn: row.headspaceIn,
    ...(row.acid && { acid: row.acid }),
    ...(sterile && { sterilizeJars: sterile }),
    alternatives: alternatives.map((other): ProcessAlternative => {
      const empty = sterilizeJars(other.minutes, altitudeFt);
      const on = checked(other.rowId);
      return { ...other, ...(empty && { sterilizeJars: empty }), ...(on !== undefined && { checkedOn: on }) };
    }),
    conditions: row.conditions,
    source,
    confidence,
    recalled,
    ...(rowId !== undefined && { rowId }),
    ...(checkedOn !== undefined && { checkedOn }),
    ...(own && { own }),
  };
}

/** The same without an altitude: what a household that has not set one is shown is the whole band strip. */
export function findTestedRow(
  question: ProcessQuestion,
  { sources = [], recipes = [] }: HouseholdPages = {},
  changes: readonly ChangeVerdict[] = [],
): TestedRow | Refusal {
  const product = findProduct(question.product);
  const never = product ? undefined : neverOnShelf(question.product);
  if (never) return neverRefusal(never);
  const { pack, jar, method } = question;
  const notOne = notAProcess(method);
  if (!isMethod(method)) {
    if (notOne !== undefined) return refusal('not-a-process', notOne, waysOf(product));
    return refusal('unknown-method', `${quoted(method)} is no way of processing that was tested.`, waysOf(product));
  }
  if (!isJarSize(jar))
    return refusal('unknown-jar', `No jar ${quoted(jar)} in the handbook.`, [...JAR_SIZES].reverse());
  const changed = product && changedTooFar(product, changes, method);
  if (changed) return changed;
  if (isOwnProduct(question.product)) return ownRow(question.product, { pack, jar, method }, recipes, product);
  const published = fromHandbook(product, question.product, { pack, jar, method });
  const source = ownSourceFor({ product: question.product, pack, method, jar }, sources);
  return source && changes.length === 0 ? withOwnSource(published, source, { jar, product }) : published;
}

/**
 * What a recipe of the household's own says: the row of its own tested page, in its jar or a smaller one and at its bands
 * only; without one, why not and how it keeps.
 */
function ownRow(
  asked: OwnProductId,
  { pack, jar, method }: { pack: string; jar: JarSize; method: Method },
  recipes: readonly OwnRecipe[],
  product: ProductRow | undefined,
): TestedRow | Refusal {
  const recipe = recipeOf(asked, recipes);
  if (!recipe || recipe.draft || !product) {
    return refusal('unknown-product', 'That recipe is not written down, or only half.', ['our own recipes']);
  }
  const { foods, faults } = judgedOnce(recipe);
  const [food] = foods;
  const { source } = recipe;
  const ways = food ? coldWays(food) : ['freezer'];
  if (!source || !faults) {
    const reason =
      `Nobody tested ${quoted(recipe.name)} as far as is known, so there is no time for it. ${food?.reason ?? ''}`.trim();
    return refusal('own-untested', reason, [...ways, 'a tested page of it']);
  }
  const [fault] = faults;
  if (fault) return refusal('own-refused', fault.reason, ways);
  if (!isNoLarger(jar, source.jar)) {
    const reason = `${source.title} tested ${JARS[source.jar].several}: a bigger jar heats through later.`;
    return refusal('jar-too-large', reason, [source.jar]);
  }
  if (pack !== recipe.pack)
    return refusal('pack-untested', `${source.title} packs it ${recipe.pack}.`, [`${recipe.pack} pack`]);
  if (method !== source.method) {
    return refusal('own-untested', `${source.title} tested it ${METHOD_WORDS[source.method]} only.`, [
      source.method,
      ...ways,
    ]);
  }
  const page = sourceOfRecipe(recipe, false);
  const open = refusal('own-untested', '', ways);
  return page ? withOwnSource(open, page, { jar, product }) : open;
}

function fromHandbook(
  product: ProductRow | undefined,
  asked: string,
  { pack, jar, method }: { pack: string; jar: JarSize; method: Method },
): TestedRow | Refusal {
  if (!product) return unknownProduct(asked);
  if (product.hasFormula && !hasSureCard(product.product)) {
    const reason = `The formula of ${named(product)} is not recalled surely enough to offer it for the shelf.`;
    return refusal('formula-unsure', reason, [...similarProducts(product), 'refrigerator']);
  }
  if (pack !== 'hot' && pack !== 'raw') {
    return refusal('unknown-pack', `Food is packed hot or raw, not ${quoted(pack)}.`, ['hot pack', 'raw pack']);
  }
  return publishedRow({ product, pack, jar, method });
}

/** Handbook rule 17: never the tested time on a changed formula. */
function changedTooFar(product: ProductRow, changes: readonly ChangeVerdict[], method: Method): Refusal | undefined {
  const never = neverIn(changes);
  const lessSalt = method === 'low-temperature-bath' && changes.some(({ change }) => change === 'less-salt');
  if (!never && !lessSalt) return undefined;
  const reason = never?.reason ?? 'A low-temperature bath is never for pickles with less salt.';
  const asTested = `${product.name} as published`;
  return refusal('changed', `${reason} The tested time holds for the formula only.`, [
    product.product,
    asTested,
    ...(lessSalt && !never ? ['boiling-water'] : similarProducts(product)),
  ]);
}

function unknownProduct(asked: string): Refusal {
  const near = nearProducts(asked, 5).map(({ product }) => product);
  const reason = `Nobody tested ${quoted(asked)} as far as the handbook knows, so there is no time for it.`;
  return refusal(
    'unknown-product',
    reason,
    near.length > 0 ? near : ['a tested product that is close to it', 'your extension office'],
  );
}

/** The methods of a product; for one that is not offered, what is near it. */
function waysOf(product: ProductRow | undefined): string[] {
  const methods = testedMethods(product);
  return methods.length === 0 && product ? similarProducts(product) : methods;
}

/** The methods with a row for some pack and jar of a product; all of them for a food that is not known. */
export function testedMethods(product: ProductRow | undefined): Method[] {
  if (!product) return [...METHODS];
  const known = METHODS_OF.get(product.product) ?? METHODS.filter((method) => isTestedBy(product, method));
  METHODS_OF.set(product.product, known);
  return [...known];
}

/** Worked out once a product, until other pages lie beside the handbook. */
const METHODS_OF = rememberedOfPages<ProductId, readonly Method[]>();

function isTestedBy(product: ProductRow, method: Method): boolean {
  return (['hot', 'raw'] as const).some((pack) =>
    JAR_SIZES.some((jar) => fromHandbook(product, product.product, { pack, jar, method }).kind === 'testedRow'),
  );
}
