import { type JarSize } from '@hoddle/core/handbook/jars';

/** Proportions of a jar as drawn, after its real shape: a quart has a marked shoulder, a small jar hardly any. */
interface Proportions {
  readonly widthToHeight: number;
  /** Height against the quart's. */
  readonly height: number;
  readonly bandToBody: number;
  readonly shoulder: readonly [from: number, to: number];
}

const PROPORTIONS: Readonly<Record<JarSize, Proportions>> = {
  'quarter-pint': { widthToHeight: 1.222, height: 0.33, bandToBody: 0.99, shoulder: [0.27, 0.38] },
  'half-pint': { widthToHeight: 0.767, height: 0.56, bandToBody: 0.96, shoulder: [0.19, 0.3] },
  'twelve-ounce': { widthToHeight: 0.52, height: 0.78, bandToBody: 0.94, shoulder: [0.14, 0.24] },
  pint: { widthToHeight: 0.625, height: 0.74, bandToBody: 0.88, shoulder: [0.15, 0.29] },
  'pint-and-half': { widthToHeight: 0.491, height: 1.02, bandToBody: 0.98, shoulder: [0.11, 0.18] },
  quart: { widthToHeight: 0.556, height: 1, bandToBody: 0.73, shoulder: [0.12, 0.3] },
  'half-gallon': { widthToHeight: 0.5, height: 1.41, bandToBody: 0.8, shoulder: [0.12, 0.27] },
};

/** A jar in pixels, its top left corner at 0, 0. */
export interface JarShape {
  readonly width: number;
  readonly height: number;
  /** Outline of the glass below the band, as path data with the jar's corner at x, y. */
  bodyAt(x: number, y: number): string;
  readonly band: { x: number; width: number; height: number };
  /** Where the content begins, under the headspace. */
  readonly fillTop: number;
}

/** The outline of a jar at a scale: `quartPx` is the height of a quart. One picture has one scale. */
export function jarShape(size: JarSize, quartPx: number): JarShape {
  const { widthToHeight, height: ofQuart, bandToBody, shoulder } = PROPORTIONS[size];
  const height = quartPx * ofQuart;
  const width = height * widthToHeight;
  const bandHeight = quartPx * 0.07;
  const neck = (width * (1 - bandToBody)) / 2;
  const right = width - neck;
  const [from, to] = [height * shoulder[0], height * shoulder[1]];
  const corner = width * 0.12;
  const bodyAt = (x: number, y: number) => {
    const [l, r, inLeft, inRight] = [x, x + width, x + neck, x + right];
    const [top, above, below, bottom] = [y + bandHeight, y + from, y + to, y + height];
    const half = (above + below) / 2;
    return (
      `M${inLeft} ${top}V${above}C${inLeft} ${half} ${l} ${half} ${l} ${below}V${bottom - corner}Q${l} ${bottom} ${l + corner} ${bottom}` +
      `H${r - corner}Q${r} ${bottom} ${r} ${bottom - corner}V${below}C${r} ${half} ${inRight} ${half} ${inRight} ${above}V${top}Z`
    );
  };
  const overhang = width * 0.02;
  return {
    width,
    height,
    bodyAt,
    band: { x: neck - overhang, width: right - neck + 2 * overhang, height: bandHeight },
    fillTop: bandHeight + quartPx * 0.05,
  };
}
