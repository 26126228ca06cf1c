import { JAR_ROWS, type JarSize, JARS, type Mouth } from '../handbook/jars';

/** What jars are closed with and what they are: kept by mouth, and jars by size too. */
export const HARDWARE_KINDS = ['jar', 'lid', 'reusable-lid', 'band'] as const;
export type HardwareKind = (typeof HARDWARE_KINDS)[number];

export interface Hardware {
  readonly kind: HardwareKind;
  /** Jars only. */
  readonly size?: JarSize;
  readonly mouth: Mouth;
}

/** Into the drawer or out of it, as the household tells it; what jars on the shelf use and give back comes beside it. */
export const HARDWARE_WAYS = { bought: 1, found: 1, thrown: -1, given: -1, missing: -1 } as const;
export type HardwareWay = keyof typeof HARDWARE_WAYS;
export const HARDWARE_MOVES = Object.keys(HARDWARE_WAYS) as [HardwareWay, ...HardwareWay[]];

export interface HardwareMove extends Hardware {
  readonly id: string;
  readonly way: HardwareWay;
  /** Whole, above 0. */
  readonly count: number;
  readonly at: number;
}

/** Everything a household can keep count of, jars from small to large. */
export const ALL_HARDWARE: readonly Hardware[] = [
  ...JAR_ROWS.map(({ size, mouth }): Hardware => ({ kind: 'jar', size, mouth })),
  ...(['lid', 'reusable-lid', 'band'] as const).flatMap((kind): Hardware[] => [
    { kind, mouth: 'regular' },
    { kind, mouth: 'wide' },
  ]),
];

export function hardwareKey({ kind, size, mouth }: Hardware): string {
  return kind === 'jar' ? `${kind} ${size ?? ''} ${mouth}` : `${kind} ${mouth}`;
}

/**
 * Which mouth a household's jars of a size have: the one it has told of most, since the jars on the shelf do not say.
 */
export function usualMouth(size: JarSize, moves: readonly HardwareMove[]): Mouth {
  const told = (mouth: Mouth) =>
    moves.reduce(
      (sum, move) =>
        sum +
        (move.kind === 'jar' && move.size === size && move.mouth === mouth && HARDWARE_WAYS[move.way] > 0
          ? move.count
          : 0),
      0,
    );
  const mouths = JAR_ROWS.filter((row) => row.size === size).map(({ mouth }) => mouth);
  if (mouths.length === 1) return mouths[0] ?? JARS[size].mouth;
  return told('wide') > told('regular') ? 'wide' : 'regular';
}
