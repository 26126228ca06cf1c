import { type JarSize } from '@hoddle/core/handbook/jars';
import { memo, useId } from 'react';
import Svg, { Defs, G, Line, Path, Rect } from 'react-native-svg';
import { COLOURS, type Mark } from './colours';
import { jarShape } from './jarShape';
import { HatchPattern, MarkPattern } from './patterns';

/** Here is solid, planned is hatched, a gap is dashed, cooling has a pale band, refused is struck through. */
export type JarLook = 'here' | 'planned' | 'gap' | 'cooling' | 'refused';

interface JarProps {
  size: JarSize;
  quartPx: number;
  hue: string;
  mark: Mark;
  look: JarLook;
}

/** One jar as a group of an outer drawing; the patterns named by `patternId` must be there. */
export function JarFigure({ size, quartPx, hue, look, patternId }: JarProps & { patternId: string }) {
  const shape = jarShape(size, quartPx);
  const line = Math.max(1, Math.min(1.5, quartPx / 45));
  if (look === 'gap' || look === 'refused') {
    const dash = { fill: 'none', stroke: COLOURS.keyEdge, strokeWidth: 1.3, strokeDasharray: '3 2.5' };
    return (
      <G>
        <Path d={shape.body} {...dash} />
        <Rect x={shape.band.x} y={0.7} width={shape.band.width} height={shape.band.height} {...dash} />
        {look === 'refused' && (
          <Line
            x1={-3}
            y1={shape.height}
            x2={shape.width + 3}
            y2={2}
            stroke={COLOURS.ink}
            strokeWidth={3.4}
            strokeLinecap="round"
          />
        )}
      </G>
    );
  }
  if (look === 'planned') {
    return (
      <G>
        <Path d={shape.body} fill={COLOURS.plate} />
        <Path d={shape.body} fill={`url(#${patternId}-hatch)`} stroke={hue} strokeWidth={line} />
        <Rect
          x={shape.band.x}
          y={0.7}
          width={shape.band.width}
          height={shape.band.height}
          fill={COLOURS.plate}
          stroke={hue}
          strokeWidth={line}
        />
      </G>
    );
  }
  const cooling = look === 'cooling';
  return (
    <G>
      <Path d={shape.body} fill={hue} />
      <Path d={shape.body} fill={`url(#${patternId}-mark)`} />
      <Rect
        x={shape.band.x + 1}
        y={shape.band.height}
        width={shape.band.width - 2}
        height={shape.fillTop - shape.band.height}
        fill={COLOURS.white}
      />
      <Path d={shape.body} fill="none" stroke={COLOURS.ink} strokeWidth={line} strokeLinejoin="round" />
      <Rect
        x={shape.band.x}
        y={0.7}
        width={shape.band.width}
        height={shape.band.height}
        rx={0.8}
        fill={cooling ? COLOURS.cool : COLOURS.band}
        stroke={cooling ? COLOURS.coolLine : COLOURS.ink}
        strokeWidth={line}
      />
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
