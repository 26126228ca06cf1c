import { isJarSize, JARS } from '../handbook/jars';
import { findProduct, type ProductRow } from '../handbook/products';
import { altitudeBand } from './altitudeBand';
import { findProcess, type TestedProcess } from './findProcess';
import { type HouseholdSource, type SourceBand, type SourceKind } from './householdSource';
import { STEAM_LIMIT_MINUTES } from './method';
import { neverOnShelf } from './neverOnShelf';
import { publishedRow } from './testedRow';
import { bandsOf } from './withOwnSource';

export type SourceCheck =
  | { readonly kind: 'accepted' }
  /** `field` is the entry to mend. */
  | { readonly kind: 'refused'; readonly field: keyof HouseholdSource; readonly reason: string };

const NOT_TESTED: Partial<Record<SourceKind, string>> = {
  film: 'A film shows how somebody did it. It is not a test: name the page the time is from.',
  blog: 'A blog is not a tested source: name the page of the extension service or book it goes by.',
  family: 'That it always went well in the family is not a test.',
};

/**
 * Handbook rule 18: whether a household's own source may stand beside the handbook. A tested kind with a page; never for
 * low-acid food outside pressure, never shorter than the handbook's own row, only the bands that the page gives.
 */
export function checkHouseholdSource(source: HouseholdSource): SourceCheck {
  const product = findProduct(source.product);
  return (
    checkPage(source) ??
    checkFood(source, product) ??
    checkBands(source) ??
    (product && checkAgainstHandbook(source, product)) ?? { kind: 'accepted' }
  );
}

function refused(field: keyof HouseholdSource, reason: string): SourceCheck {
  return { kind: 'refused', field, reason };
}

function checkPage({ title, kind, page }: HouseholdSource): SourceCheck | undefined {
  const notTested = NOT_TESTED[kind];
  if (notTested !== undefined) return refused('kind', notTested);
  if (title.trim() === '') return refused('title', 'Name the source: its title, as it stands on the cover.');
  if (!/[a-z0-9]/i.test(page)) return refused('page', 'Name the page: without it nobody can look the time up again.');
  return undefined;
}

function checkFood(source: HouseholdSource, product: ProductRow | undefined): SourceCheck | undefined {
  const never = product ? undefined : neverOnShelf(source.product);
  if (never) return refused('product', never.reason);
  if (source.product.trim() === '') return refused('product', 'Name the food the time is for.');
  if (!isJarSize(source.jar)) return refused('jar', 'Name the jar the time is for.');
  const pressure = source.method.startsWith('pressure');
  if ((product?.productClass === 'low-acid' || source.lowAcid) && !pressure) {
    return refused('method', 'Low-acid food is only ever pressure canned, whatever a source says.');
  }
  if (source.method === 'low-temperature-bath') {
    return refused('method', 'The low-temperature bath is only for the pickles the handbook publishes it for.');
  }
  return undefined;
}

function checkBands({ method, bands, jar }: HouseholdSource): SourceCheck | undefined {
  if (bands.length === 0)
    return refused('bands', 'Enter the minutes of at least one altitude band, as the page gives them.');
  const edges = bandsOf(method).map(({ upToFt }) => upToFt);
  for (const { upToFt, minutes, pressurePsi } of bands) {
    if (!edges.includes(upToFt ?? Infinity)) return refused('bands', 'That is no altitude band of this method.');
    if (!(minutes >= 1)) return refused('bands', 'The minutes of a band must be 1 or more.');
    if (method.startsWith('pressure') && !(pressurePsi !== undefined && pressurePsi > 0)) {
      return refused('bands', 'A pressure time needs the pressure beside the minutes.');
    }
    if (method === 'pressure-dial' && (upToFt ?? Infinity) > 8_000) {
      return refused('bands', 'Dial gauges are refused above 8,000 ft.');
    }
    if (method === 'steam' && minutes > STEAM_LIMIT_MINUTES) {
      return refused('bands', `Steam stops at ${STEAM_LIMIT_MINUTES} min in all.`);
    }
  }
  if (method === 'steam' && JARS[jar].nominalFlOz > JARS.quart.nominalFlOz) {
    return refused('jar', 'A steam canner takes jars up to quarts.');
  }
  const sorted = [...bands].sort((a, b) => (a.upToFt ?? Infinity) - (b.upToFt ?? Infinity));
  if (sorted.some((band, i) => i > 0 && isLess(band, sorted[i - 1]))) {
    return refused('bands', 'A higher band is never shorter than a lower one: look at the page again.');
  }
  return undefined;
}

function isLess(band: SourceBand, below: SourceBand | undefined): boolean {
  return below !== undefined && (band.minutes < below.minutes || (band.pressurePsi ?? 0) < (below.pressurePsi ?? 0));
}

/** Never fewer minutes, nor less pressure for them, than a row of the handbook for that product. */
function checkAgainstHandbook(source: HouseholdSource, product: ProductRow): SourceCheck | undefined {
  for (const given of source.bands) {
    const least = shortestAllowed(source, product, given);
    if (least === undefined || isEnough(given, least)) continue;
    const pressure = least.pressurePsi === undefined ? '' : ` at ${least.pressurePsi} psi`;
    return refused(
      'bands',
      `The handbook has ${least.minutes} min${pressure} for ${product.name.toLowerCase()} there; fewer is never taken.`,
    );
  }
  return undefined;
}

/** The handbook's answer in the band: for this jar, else for the largest smaller one; for this pack, else for the other. */
function shortestAllowed(source: HouseholdSource, product: ProductRow, given: SourceBand): TestedProcess | undefined {
  const altitudeFt = Math.min(given.upToFt ?? 12_000, 12_000);
  altitudeBand(altitudeFt, bandsOf(source.method));
  const packs = source.pack === 'hot' ? (['hot', 'raw'] as const) : (['raw', 'hot'] as const);
  const jars = Object.values(JARS)
    .filter(({ nominalFlOz }) => nominalFlOz <= JARS[source.jar].nominalFlOz)
    .sort((a, b) => b.nominalFlOz - a.nominalFlOz)
    .map(({ size }) => size);
  for (const pack of packs) {
    for (const jar of jars) {
      const { method } = source;
      if (publishedRow({ product, pack, jar, method }).kind === 'refusal') continue;
      const answer = findProcess({ product: product.product, pack, jar, method, altitudeFt });
      if (answer.kind === 'tested') return answer;
    }
  }
  return undefined;
}

function isEnough({ minutes, pressurePsi = 0 }: SourceBand, tested: TestedProcess): boolean {
  const rows = [tested, ...tested.alternatives.filter((other) => other.pressurePsi !== undefined)];
  return rows.some((row) => minutes >= row.minutes && pressurePsi >= (row.pressurePsi ?? 0));
}
