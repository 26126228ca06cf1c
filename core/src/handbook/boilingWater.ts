import { type JarSize } from './jars';
import { type ProductRow } from './products';
import { type Sourced, usdaGuide } from './source';

/** Minutes by altitude: up to 1,000 ft, up to 3,000, up to 6,000, above. */
export type BandMinutes = readonly [number, number, number, number];

export interface BoilingWaterRow extends Sourced {
  readonly process: ProductRow['process'];
  readonly packs: readonly ('hot' | 'raw')[];
  readonly jar: Extract<JarSize, 'pint' | 'quart'>;
  readonly minutes: BandMinutes;
  readonly headspaceIn: number;
  /** Bottled lemon juice, citric acid or vinegar goes into each jar. */
  readonly acidPerJar: boolean;
}

const GUIDE_2: Sourced = { source: usdaGuide(2), confidence: 'high', recalled: true };
const GUIDE_3: Sourced = { source: usdaGuide(3), confidence: 'high', recalled: true };
const HOT = ['hot'] as const;
const HOT_OR_RAW = ['hot', 'raw'] as const;

/** Tested times in a boiling-water canner, in the order and unit of the source. Nothing here is ever computed. */
export const BOILING_WATER: readonly BoilingWaterRow[] = [
  {
    process: 'plums',
    packs: HOT_OR_RAW,
    jar: 'pint',
    minutes: [20, 25, 30, 35],
    headspaceIn: 0.5,
    acidPerJar: false,
    ...GUIDE_2,
  },
  {
    process: 'plums',
    packs: HOT_OR_RAW,
    jar: 'quart',
    minutes: [25, 30, 35, 40],
    headspaceIn: 0.5,
    acidPerJar: false,
    ...GUIDE_2,
  },
  {
    process: 'tomatoes-crushed',
    packs: HOT,
    jar: 'pint',
    minutes: [35, 40, 45, 50],
    headspaceIn: 0.5,
    acidPerJar: true,
    ...GUIDE_3,
  },
  {
    process: 'tomatoes-crushed',
    packs: HOT,
    jar: 'quart',
    minutes: [45, 50, 55, 60],
    headspaceIn: 0.5,
    acidPerJar: true,
    ...GUIDE_3,
  },
  {
    process: 'tomato-sauce',
    packs: HOT,
    jar: 'pint',
    minutes: [35, 40, 45, 50],
    headspaceIn: 0.25,
    acidPerJar: true,
    ...GUIDE_3,
  },
  {
    process: 'tomato-sauce',
    packs: HOT,
    jar: 'quart',
    minutes: [40, 45, 50, 55],
    headspaceIn: 0.25,
    acidPerJar: true,
    ...GUIDE_3,
  },
  {
    process: 'tomatoes-whole-in-water',
    packs: HOT_OR_RAW,
    jar: 'pint',
    minutes: [40, 45, 50, 55],
    headspaceIn: 0.5,
    acidPerJar: true,
    ...GUIDE_3,
  },
  {
    process: 'tomatoes-whole-in-water',
    packs: HOT_OR_RAW,
    jar: 'quart',
    minutes: [45, 50, 55, 60],
    headspaceIn: 0.5,
    acidPerJar: true,
    ...GUIDE_3,
  },
];
