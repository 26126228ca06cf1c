import { type Pack } from '../handbook/boilingWater';
import { JARS, type JarSize } from '../handbook/jars';
import { type Method } from './method';

/** What a household may name as a tested source, and what people name that is none. Handbook rule 18. */
export const SOURCE_KINDS = ['extension', 'government', 'tested-book', 'film', 'blog', 'family'] as const;
export type SourceKind = (typeof SOURCE_KINDS)[number];

/** The minutes a source prints for one altitude band, and the pressure where there is one. */
export interface SourceBand {
  /** Upper edge of the band in ft as the method's tables have it; null for the last, open upwards. */
  readonly upToFt: number | null;
  readonly minutes: number;
  readonly pressurePsi?: number;
}

/** A tested time that the household has from elsewhere, shown as theirs. */
export interface HouseholdSource {
  readonly id: string;
  readonly title: string;
  readonly kind: SourceKind;
  readonly page: string;
  /** A product of the handbook by id, or a name of the household's own. */
  readonly product: string;
  readonly lowAcid: boolean;
  readonly pack: Pack;
  readonly jar: JarSize;
  readonly method: Method;
  readonly headspaceIn: number;
  /** Bands the source gives; one it does not give is refused, never filled from another. */
  readonly bands: readonly SourceBand[];
}

/** The source's line on a screen: "Preserving at home, p. 31, the household's own". */
export function ownSourceLine({ title, page }: Pick<HouseholdSource, 'title' | 'page'>): string {
  return `${title}, p. ${page}, the household's own`;
}

interface Asked {
  readonly product: string;
  readonly pack: string;
  readonly method: string;
  readonly jar: JarSize;
}

/** The household's source for a question: same food, pack and method; its jar or a smaller one, the nearest first. */
export function ownSourceFor(asked: Asked, sources: readonly HouseholdSource[]): HouseholdSource | undefined {
  const size = (jar: JarSize) => JARS[jar].nominalFlOz;
  return sources
    .filter(
      (source) =>
        source.product.trim().toLowerCase() === asked.product.trim().toLowerCase() &&
        source.pack === asked.pack &&
        source.method === asked.method &&
        size(source.jar) >= size(asked.jar),
    )
    .sort((a, b) => size(a.jar) - size(b.jar))[0];
}
