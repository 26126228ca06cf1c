import { type BoilingWaterRow, boilingWaterRows, type Pack } from '../handbook/boilingWater';
import { JARS, JAR_SIZES, type JarSize } from '../handbook/jars';
import { type PressureRow, pressureRows } from '../handbook/pressure';
import { type ProductId, type ProductRow, productRow, PRODUCTS } from '../handbook/products';
import { type Sourced } from '../handbook/source';
import { type AcidDose, acidDose } from './acidDose';
import { ALTITUDE_BANDS, type AltitudeBand, DIAL_BANDS, ONE_BAND, WEIGHTED_BANDS } from './altitudeBand';
import { conditionsOf } from './conditions';
import { type Method, STEAM_LIMIT_MINUTES } from './method';
import { type Refusal, refusal } from './refusal';
import { similarProducts } from './similarProducts';
import { CLEAN_JARS_FROM_MINUTES } from './sterilizeJars';

/** Another published way for the same jars: other minutes in clean jars, or other minutes at another pressure. */
export interface Alternative {
  readonly minutes: number;
  readonly pressurePsi?: number;
  /** Of another row than the answer's own. */
  readonly rowId?: string;
}

/** What one altitude band gets. */
export interface TestedBand extends Sourced {
  readonly kind: 'tested';
  readonly band: AltitudeBand;
  readonly minutes: number;
  readonly pressurePsi?: number;
  readonly alternatives: readonly Alternative[];
  /** The row the minutes stand in, for the household's checked mark; undefined for a source of its own. */
  readonly rowId?: string;
  /** True for a source of the household's own. */
  readonly own?: true;
}

export interface RefusedBand extends Refusal {
  readonly band: AltitudeBand;
}

/** The tested process for a product, pack, jar and method, band by band. */
export interface TestedRow {
  readonly kind: 'testedRow';
  /** Id of the product, or the name of a food that only the household's own source has. */
  readonly food: string;
  readonly product?: ProductRow;
  readonly pack: Pack;
  readonly jar: JarSize;
  readonly method: Method;
  readonly bands: readonly (TestedBand | RefusedBand)[];
  readonly headspaceIn: number;
  readonly acid?: AcidDose;
  readonly conditions: readonly string[];
}

/** Handbook rule 8. */
const LOW_TEMPERATURE_MINUTES = 30;

/** Jams and jellies in clean hot jars at 0-1,000 ft. Handbook rule 4. */
const CLEAN_JAR_MINUTES = 10;

interface Asked {
  readonly product: ProductRow;
  readonly pack: Pack;
  readonly jar: JarSize;
  readonly method: Method;
}

/** Reads the published tables for a product known to have a formula that may be offered. Nothing is computed. */
export function publishedRow(asked: Asked): TestedRow | Refusal {
  switch (asked.method) {
    case 'boiling-water':
    case 'steam':
    case 'low-temperature-bath':
      return fromBoilingWater(asked);
    case 'pressure-dial':
    case 'pressure-weighted':
      return fromPressure(asked);
  }
}

function fromBoilingWater(asked: Asked): TestedRow | Refusal {
  const { product, method } = asked;
  const rows = boilingWaterRows(product.process).filter(({ confidence }) => confidence !== 'low');
  if (rows.length === 0) return lowAcid(product);
  if (method === 'low-temperature-bath' && !product.lowTemperatureBath) {
    const reason = `No low-temperature bath is published for ${named(product)}.`;
    return refusal('no-low-temperature-row', reason, ['boiling-water']);
  }
  const found = rowFor(asked, rows, (row) => row.packs);
  if ('reason' in found) return found;
  if (method === 'steam' && JARS[asked.jar].nominalFlOz > JARS.quart.nominalFlOz) {
    return refusal('jar-too-large', 'A steam canner takes jars up to quarts.', ['quart', 'pint', 'boiling-water']);
  }
  const row = found.rows[0];
  if (!row) throw new RangeError('a row was found and is not there');
  const bands =
    method === 'low-temperature-bath'
      ? ONE_BAND.map((band): TestedBand => ({ ...testedBand(band, LOW_TEMPERATURE_MINUTES, row), alternatives: [] }))
      : ALTITUDE_BANDS.map((band) => boilingBand(band, row, product, method));
  const first = bands[0];
  if (first?.kind === 'refusal' && bands.every(({ kind }) => kind === 'refusal')) return plain(first);
  return tested(asked, bands, row.headspaceIn, found.rowJar);
}

function boilingBand(
  band: AltitudeBand,
  row: BoilingWaterRow,
  product: ProductRow,
  method: Method,
): TestedBand | RefusedBand {
  const minutes = row.minutes[band.index] ?? Infinity;
  if (method === 'steam' && minutes > STEAM_LIMIT_MINUTES) {
    const reason = `Steam stops at ${STEAM_LIMIT_MINUTES} min, and here the tested time is ${minutes} min.`;
    return { ...refusal('steam-too-long', reason, ['boiling-water']), band };
  }
  const spread = product.productClass === 'spread' && minutes < CLEAN_JARS_FROM_MINUTES;
  return { ...testedBand(band, minutes, row), alternatives: spread ? [{ minutes: CLEAN_JAR_MINUTES }] : [] };
}

/** The pressure that is in use most where a table gives several: 11 lb by dial, 10 by weight at the foot of the table. */
const COMMON_DIAL_PSI = 11;
const COMMON_WEIGHT_PSI = 10;

function fromPressure(asked: Asked): TestedRow | Refusal {
  const { product, method } = asked;
  const rows = pressureRows(product.process).filter(({ confidence }) => confidence !== 'low');
  if (rows.length === 0) {
    const reason = `No pressure process is published for ${named(product)}.`;
    return refusal('no-pressure-row', reason, waysBesidesPressure(product));
  }
  const found = rowFor(asked, rows, (row) => [row.pack]);
  if ('reason' in found) return found;
  const dial = method === 'pressure-dial';
  const common = found.rows.find((row) =>
    dial ? row.dialPsi[0] === COMMON_DIAL_PSI : row.weightedPsi[0] === COMMON_WEIGHT_PSI,
  );
  const row = common ?? found.rows[0];
  if (!row) throw new RangeError('a row was found and is not there');
  const bands = (dial ? DIAL_BANDS : WEIGHTED_BANDS).map((band): TestedBand | RefusedBand => {
    const psiOf = (candidate: PressureRow) => (dial ? candidate.dialPsi : candidate.weightedPsi)[band.index] ?? null;
    const pressurePsi = psiOf(row);
    if (pressurePsi === null) return noPressure(band, dial);
    const alternatives = found.rows.flatMap((other): Alternative[] => {
      const psi = psiOf(other);
      return other === row || psi === null ? [] : [{ minutes: other.minutes, pressurePsi: psi, rowId: other.id }];
    });
    return { ...testedBand(band, row.minutes, row), pressurePsi, alternatives };
  });
  return tested(asked, bands, row.headspaceIn, found.rowJar);
}

function noPressure(band: AltitudeBand, dial: boolean): RefusedBand {
  return dial
    ? {
        ...refusal('dial-too-high', 'For a dial gauge nothing is published above 8,000 ft.', ['pressure-weighted']),
        band,
      }
    : {
        ...refusal('pressure-not-recommended', 'That weight is not recommended at this altitude.', ['pressure-dial']),
        band,
      };
}

function testedBand(band: AltitudeBand, minutes: number, row: Sourced & { readonly id: string }) {
  const { source, confidence, recalled, id } = row;
  return { kind: 'tested' as const, band, minutes, source, confidence, recalled, rowId: id };
}

function tested(
  { product, pack, jar, method }: Asked,
  bands: TestedRow['bands'],
  headspaceIn: number,
  rowJar: JarSize,
): TestedRow {
  return {
    kind: 'testedRow',
    food: product.product,
    product,
    pack,
    jar,
    method,
    bands,
    headspaceIn,
    acid: acidDose(product.product, jar),
    conditions: conditionsOf({ product, pack, jar, rowJar, method }),
  };
}

/** The rows for a pack and jar. Handbook rule 13: a jar between two sizes takes the larger one's time; above the largest there is none. */
function rowFor<Row extends { readonly jars: readonly JarSize[] }>(
  { product, pack, jar }: Asked,
  all: readonly Row[],
  packsOf: (row: Row) => readonly Pack[],
): { rows: Row[]; rowJar: JarSize } | Refusal {
  const packed = all.filter((row) => packsOf(row).includes(pack));
  if (packed.length === 0) {
    const packs = [...new Set(all.flatMap((row) => packsOf(row)))];
    return refusal(
      'pack-untested',
      `No tested time for ${named(product)} packed ${pack}.`,
      packs.map((other) => `${other} pack`),
    );
  }
  const sizes = JAR_SIZES.filter((size) => packed.some((row) => row.jars.includes(size)));
  const rowJar = sizes.find((size) => JARS[size].nominalFlOz >= JARS[jar].nominalFlOz);
  if (!rowJar) {
    const reason = `No tested time for ${named(product)} in ${JARS[jar].one} jars: a bigger jar heats through later.`;
    return refusal('jar-too-large', reason, [...sizes].reverse());
  }
  return { rows: packed.filter((row) => row.jars.includes(rowJar)), rowJar };
}

function lowAcid(product: ProductRow): Refusal {
  const reason = `Only pressure is tested for ${named(product)}: in low-acid food nothing less hot keeps botulism out.`;
  return refusal('low-acid', reason, [
    'pressure-dial',
    'pressure-weighted',
    ...similarProducts(product, PRODUCTS.length).filter(isAcid).slice(0, 2),
    'refrigerator: 3 to 4 days',
    'freezer',
  ]);
}

function isAcid(product: ProductId): boolean {
  return productRow(product).productClass !== 'low-acid';
}

function waysBesidesPressure({ process, lowTemperatureBath }: ProductRow): string[] {
  const longest = Math.min(...boilingWaterRows(process).map(({ minutes }) => minutes[0]));
  return [
    'boiling-water',
    ...(longest <= STEAM_LIMIT_MINUTES ? ['steam'] : []),
    ...(lowTemperatureBath ? ['low-temperature-bath'] : []),
  ];
}

function plain({ kind, cause, reason, instead }: RefusedBand): Refusal {
  return { kind, cause, reason, instead };
}

/** The product in the middle of a sentence. */
export function named(product: ProductRow): string {
  return product.name.toLowerCase();
}
