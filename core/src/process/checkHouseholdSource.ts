import { JARS } from '../handbook/jars';
import { findProduct, type ProductRow } from '../handbook/products';
import { altitudeBand } from './altitudeBand';
import { findProcess, type TestedProcess } from './findProcess';
import { type HouseholdSource, type SourceBand } from './householdSource';
import { refused, type RefusedSource, sourceFault } from './sourceFault';
import { publishedRow } from './testedRow';
import { bandsOf } from './withOwnSource';

export type SourceCheck = { readonly kind: 'accepted' } | RefusedSource;

/**
 * Handbook rule 18: whether a household's own source may stand beside the handbook. A tested kind with a page; never for
 * low-acid food outside pressure, never shorter than the handbook's own row, only the bands that the page gives.
 */
export function checkHouseholdSource(source: HouseholdSource): SourceCheck {
  const product = findProduct(source.product);
  return sourceFault(source) ?? (product && checkAgainstHandbook(source, product)) ?? { kind: 'accepted' };
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
