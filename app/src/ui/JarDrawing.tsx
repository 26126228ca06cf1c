import { type JarSize } from '@hoddle/core/handbook/jars';
import { memo, useId } from 'react';
import Svg, { Defs, G, Path } from 'react-native-svg';
import { type Mark } from './colours';
import { jarShape } from './jarShape';
import { type JarLook, jarStrokes } from './jarStrokes';
import { HatchPattern, MarkPattern } from './patterns';

interface JarProps {
  size: JarSize;
  quartPx: number;
  hue: string;
  mark: Mark;
  look: JarLook;
}

interface FiguresProps extends Omit<JarProps, 'mark'> {
  patternId: string;
  corners: readonly { x: number; y: number }[];
}

/** One jar as a group of an outer drawing; the patterns named by `patternId` must be there. */
export function JarFigure(props: Omit<JarProps, 'mark'> & { patternId: string }) {
  return <JarFigures {...props} corners={[{ x: 0, y: 0 }]} />;
}

/**
 * Jars of one look that do not overlap, by their top left corners, as few paths: a shelf has thousands of jars, and drawn one by
 * one each is six elements to lay out and to paint in every frame of a scroll.
 */
export function JarFigures({ corners, ...props }: FiguresProps) {
  return (
    <G>
      {jarStrokes(props).map(({ name, look, at }) => (
        <Path key={name} d={corners.map(({ x, y }) => at(x, y)).join('')} {...look} />
      ))}
    </G>
  );
}

/** The patterns that jars of one hue are filled with. */
export function JarDefs({ patternId, hue, mark }: { patternId: string; hue: string; mark: Mark }) {
  return (
    <Defs>
      <HatchPattern id={`${patternId}-hatch`} hue={hue} />
      <MarkPattern id={`${patternId}-mark`} mark={mark} />
    </Defs>
  );
}

/** A single jar. */
export const JarDrawing = memo(function JarDrawing(props: JarProps) {
  const patternId = useId().replaceAll(':', '');
  const { width, height } = jarShape(props.size, props.quartPx);
  return (
    <Svg width={width + 8} height={height + 2} viewBox={`-4 -1 ${width + 8} ${height + 2}`} aria-hidden>
      <JarDefs patternId={patternId} hue={props.hue} mark={props.mark} />
      <JarFigure {...props} patternId={patternId} />
    </Svg>
  );
});
