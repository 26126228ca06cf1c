import { type ProductRow } from '../handbook/products';
import { acidDose } from './acidDose';
import { altitudeBand, ALTITUDE_BANDS, type AltitudeBand, DIAL_BANDS, ONE_BAND, WEIGHTED_BANDS } from './altitudeBand';
import { type HouseholdSource, ownSourceLine, type SourceBand } from './householdSource';
import { type Method } from './method';
import { type Refusal, type RefusalCause, refusal } from './refusal';
import { type RefusedBand, type TestedBand, type TestedRow } from './testedRow';
import { type JarSize, JARS } from '../handbook/jars';

/** Refusals that say "not tested here", which another tested source may answer. The others stand, whatever a source says. */
const OPEN_TO_SOURCES: readonly RefusalCause[] = [
  'unknown-product',
  'own-untested',
  'formula-unsure',
  'pack-untested',
  'jar-too-large',
  'no-pressure-row',
];

/** The bands of a method's tables. */
export function bandsOf(method: Method): readonly AltitudeBand[] {
  switch (method) {
    case 'pressure-dial':
      return DIAL_BANDS;
    case 'pressure-weighted':
      return WEIGHTED_BANDS;
    case 'low-temperature-bath':
      return ONE_BAND;
    default:
      return ALTITUDE_BANDS;
  }
}

/**
 * Lays a household's source over what the handbook says. Where the handbook has nothing tested it answers, band by band;
 * where both do, the longer process wins. A band the source does not give stays refused.
 */
export function withOwnSource(
  published: TestedRow | Refusal,
  source: HouseholdSource,
  asked: { readonly jar: JarSize; readonly product: ProductRow | undefined },
): TestedRow | Refusal {
  if (published.kind === 'refusal' && !OPEN_TO_SOURCES.includes(published.cause)) return published;
  const { method } = source;
  const own = bandsOf(method).map((band) => ownBand(band, source));
  if (published.kind === 'testedRow') {
    const bands = published.bands.map((band, i) => longer(band, own[i]));
    return { ...published, bands };
  }
  const jarNote =
    source.jar === asked.jar ? [] : [`The time is for ${JARS[source.jar].several}; a smaller jar takes it too`];
  return {
    kind: 'testedRow',
    food: asked.product?.product ?? source.product,
    product: asked.product,
    pack: source.pack,
    jar: asked.jar,
    method,
    bands: own,
    headspaceIn: source.headspaceIn,
    acid: asked.product && acidDose(asked.product.product, asked.jar),
    conditions: [`Exactly as ${source.title} has it on p. ${source.page}`, ...jarNote],
  };
}

function ownBand(band: AltitudeBand, source: HouseholdSource): TestedBand | RefusedBand {
  const given = source.bands.find(({ upToFt }) => (upToFt ?? Infinity) === band.upToFt);
  if (!given) {
    const reason = `${source.title} gives no minutes ${band.words}. They are never filled from another band.`;
    return {
      ...refusal('own-band-missing', reason, [
        'refrigerator or freezer, where the food allows it',
        'the page for this altitude',
      ]),
      band,
    };
  }
  return testedByOwn(band, given, source);
}

function testedByOwn(band: AltitudeBand, { minutes, pressurePsi }: SourceBand, source: HouseholdSource): TestedBand {
  return {
    kind: 'tested',
    band,
    minutes,
    ...(pressurePsi !== undefined && { pressurePsi }),
    alternatives: [],
    source: ownSourceLine(source),
    confidence: 'high',
    recalled: false,
    own: true,
  };
}

function longer(published: TestedBand | RefusedBand, own: TestedBand | RefusedBand | undefined) {
  if (own?.kind !== 'tested' || published.kind !== 'tested' || own.minutes <= published.minutes) return published;
  return (own.pressurePsi ?? 0) >= (published.pressurePsi ?? 0) ? own : published;
}

/** The band answer of a kitchen. @throws RangeError for an altitude outside 0 to 12,000 ft */
export function bandAt(row: TestedRow, altitudeFt: number): TestedBand | RefusedBand {
  const { index } = altitudeBand(altitudeFt, bandsOf(row.method));
  const answer = row.bands[index];
  if (!answer) throw new RangeError(`no band ${index}`);
  return answer;
}
