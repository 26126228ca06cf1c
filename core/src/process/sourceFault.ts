import { isJarSize, JARS } from '../handbook/jars';
import { findProduct, type ProductRow } from '../handbook/products';
import { type HouseholdSource, type SourceBand, type SourceKind } from './householdSource';
import { STEAM_LIMIT_MINUTES } from './method';
import { neverOnShelf } from './neverOnShelf';
import { bandsOf } from './withOwnSource';

export interface RefusedSource {
  readonly kind: 'refused';
  /** The entry to mend. */
  readonly field: keyof HouseholdSource;
  readonly reason: string;
}

const NOT_TESTED: Partial<Record<SourceKind, string>> = {
  film: 'A film shows how somebody did it. It is not a test: name the page the time is from.',
  blog: 'A blog is not a tested source: name the page of the extension service or book it goes by.',
  family: 'That it always went well in the family is not a test.',
};

/**
 * What a page by itself may not say: no tested kind, no title or page, low-acid food outside pressure, bands that are none.
 * Handbook rule 18. Undefined where it may stand.
 */
export function sourceFault(source: HouseholdSource): RefusedSource | undefined {
  return checkPage(source) ?? checkFood(source, findProduct(source.product)) ?? checkBands(source);
}

export function refused(field: keyof HouseholdSource, reason: string): RefusedSource {
  return { kind: 'refused', field, reason };
}

function checkPage({ title, kind, page }: HouseholdSource): RefusedSource | undefined {
  const notTested = NOT_TESTED[kind];
  if (notTested !== undefined) return refused('kind', notTested);
  if (title.trim() === '') return refused('title', 'Name the source: its title, as it stands on the cover.');
  if (!/[a-z0-9]/i.test(page)) return refused('page', 'Name the page: without it nobody can look the time up again.');
  return undefined;
}

function checkFood(source: HouseholdSource, product: ProductRow | undefined): RefusedSource | undefined {
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

function checkBands({ method, bands, jar }: HouseholdSource): RefusedSource | undefined {
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
