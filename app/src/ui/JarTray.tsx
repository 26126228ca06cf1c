import { type JarSize } from '@hoddle/core/handbook/jars';
import { useId } from 'react';
import Svg, { G, Line } from 'react-native-svg';
import { COLOURS, type Mark } from './colours';
import { JarDefs, JarFigure } from './JarDrawing';
import { jarShape } from './jarShape';

interface JarTrayProps {
  size: JarSize;
  jars: number;
  /** Free places are dashed. */
  places: number;
  quartPx: number;
  hue: string;
  mark: Mark;
}

/** One canner load: planned jars on an ink tray, free places dashed. */
export function JarTray({ size, jars, places, quartPx, hue, mark }: JarTrayProps) {
  const patternId = useId().replaceAll(':', '');
  const shape = jarShape(size, quartPx);
  const step = shape.width * 0.82;
  const width = step * (places - 1) + shape.width + 4;
  return (
    <Svg width={width} height={shape.height + 8} viewBox={`-2 -1 ${width} ${shape.height + 8}`} aria-hidden>
      <JarDefs patternId={patternId} hue={hue} mark={mark} />
      {Array.from({ length: places }, (_, i) => places - 1 - i).map((i) => (
        <G key={i} x={i * step} y={0}>
          <JarFigure
            size={size}
            quartPx={quartPx}
            hue={hue}
            look={i < jars ? 'planned' : 'gap'}
            patternId={patternId}
          />
        </G>
      ))}
      <Line x1={0} y1={shape.height + 4} x2={width - 4} y2={shape.height + 4} stroke={COLOURS.ink} strokeWidth={2.6} />
    </Svg>
  );
}
