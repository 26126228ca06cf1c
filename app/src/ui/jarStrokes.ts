import { type JarSize } from '@hoddle/core/handbook/jars';
import { type PathProps } from 'react-native-svg';
import { COLOURS } from './colours';
import { jarShape } from './jarShape';

/** Here is solid, planned is hatched, a gap is dashed, cooling has a pale band, refused is struck through. */
export type JarLook = 'here' | 'planned' | 'gap' | 'cooling' | 'refused';

/** One stroke of the drawing of a jar: jars that do not overlap share it as one path. */
interface JarStroke {
  readonly name: string;
  readonly look: PathProps;
  /** Its path data for a jar with the top left corner at x, y. */
  at(x: number, y: number): string;
}

interface Drawn {
  size: JarSize;
  quartPx: number;
  hue: string;
  look: JarLook;
  /** Patterns of this name fill the jar; they must be in the drawing. */
  patternId: string;
}

/** The strokes that draw a jar, the lowest first. */
export function jarStrokes({ size, quartPx, hue, look, patternId }: Drawn): readonly JarStroke[] {
  const { bodyAt, band, width, height, fillTop } = jarShape(size, quartPx);
  const strokeWidth = Math.max(1, Math.min(1.5, quartPx / 45));
  const bandAt = (x: number, y: number) => box(x + band.x, y + 0.7, band.width, band.height);
  if (look === 'gap' || look === 'refused') {
    const dash = { fill: 'none', stroke: COLOURS.keyEdge, strokeWidth: 1.3, strokeDasharray: '3 2.5' };
    const dashed: JarStroke[] = [
      { name: 'body', look: dash, at: bodyAt },
      { name: 'band', look: dash, at: bandAt },
    ];
    if (look === 'gap') return dashed;
    const struck = { stroke: COLOURS.ink, strokeWidth: 3.4, strokeLinecap: 'round' as const };
    const across = (x: number, y: number) => `M${x - 3} ${y + height}L${x + width + 3} ${y + 2}`;
    return [...dashed, { name: 'struck', look: struck, at: across }];
  }
  if (look === 'planned') {
    return [
      { name: 'body', look: { fill: COLOURS.plate }, at: bodyAt },
      { name: 'hatch', look: { fill: `url(#${patternId}-hatch)`, stroke: hue, strokeWidth }, at: bodyAt },
      { name: 'band', look: { fill: COLOURS.plate, stroke: hue, strokeWidth }, at: bandAt },
    ];
  }
  const line = { stroke: COLOURS.ink, strokeWidth, strokeLinejoin: 'round' as const };
  const headspace = (x: number, y: number) =>
    box(x + band.x + 1, y + band.height, band.width - 2, fillTop - band.height);
  const lid =
    look === 'cooling' ? { ...line, fill: COLOURS.cool, stroke: COLOURS.coolLine } : { ...line, fill: COLOURS.band };
  return [
    { name: 'body', look: { fill: hue }, at: bodyAt },
    { name: 'mark', look: { fill: `url(#${patternId}-mark)` }, at: bodyAt },
    { name: 'headspace', look: { fill: COLOURS.white }, at: headspace },
    { name: 'glass', look: { fill: 'none', ...line }, at: bodyAt },
    { name: 'band', look: lid, at: bandAt },
  ];
}

function box(x: number, y: number, width: number, height: number): string {
  return `M${x} ${y}h${width}v${height}h${-width}Z`;
}
