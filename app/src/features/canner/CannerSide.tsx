import { type Canner } from '@hoddle/core/canner/canner';
import { JARS, type JarSize } from '@hoddle/core/handbook/jars';
import { useId } from 'react';
import Svg, { Circle, G, Line, Path } from 'react-native-svg';
import { COLOURS, type Mark } from '@/ui/colours';
import { JarDefs, JarFigure } from '@/ui/JarDrawing';
import { jarShape } from '@/ui/jarShape';

interface CannerSideProps {
  canner: Canner;
  jar: JarSize;
  /** Over the floor. */
  waterIn: number;
  hue: string;
  mark: Mark;
  pxPerIn: number;
}

/** The canner cut open, at the scale of its map: rack, jars, water, space to the rim. */
export function CannerSide({ canner, jar, waterIn, hue, mark, pxPerIn }: CannerSideProps) {
  const patternId = useId().replaceAll(':', '');
  const width = canner.insideDiameterIn * pxPerIn;
  const height = canner.insideHeightIn * pxPerIn;
  const quartPx = JARS.quart.heightIn * pxPerIn;
  const shape = jarShape(jar, quartPx);
  const [left, top] = [14, 8];
  const floor = top + height;
  const waterY = floor - waterIn * pxPerIn;
  const jarTop = floor - canner.rackHeightIn * pxPerIn - shape.height;
  const across = Math.max(1, Math.min(4, Math.floor(width / (shape.width * 1.15))));
  const gap = (width - across * shape.width) / (across + 1);
  const waves = Math.round(width / 20);
  const half = width / waves / 2;
  return (
    <Svg width={width + 62} height={floor + 6} aria-hidden>
      <JarDefs patternId={patternId} hue={hue} mark={mark} />
      <Path d={`M${left} ${waterY}h${width}v${floor - waterY}h${-width}Z`} fill={COLOURS.water} />
      <Path
        d={`M${left} ${waterY}${`q${half / 2} -4 ${half} 0t${half} 0`.repeat(waves)}`}
        fill="none"
        stroke={COLOURS.waterLine}
        strokeWidth={2}
      />
      {Array.from({ length: across }, (_, i) => (
        <G key={i} x={left + gap + i * (shape.width + gap)} y={jarTop}>
          <JarFigure size={jar} quartPx={quartPx} hue={hue} look="here" patternId={patternId} />
        </G>
      ))}
      {Array.from({ length: 10 }, (_, i) => (
        <Circle
          key={i}
          cx={left + 8 + (i * (width - 16)) / 9}
          cy={floor - (canner.rackHeightIn * pxPerIn) / 2 - 1}
          r={2.2}
          fill={COLOURS.plate}
          stroke={COLOURS.ink}
          strokeWidth={1.2}
        />
      ))}
      <Path
        d={`M${left} ${top}V${floor - 8}Q${left} ${floor} ${left + 8} ${floor}H${left + width - 8}Q${left + width} ${floor} ${left + width} ${floor - 8}V${top}`}
        fill="none"
        stroke={COLOURS.ink}
        strokeWidth={2.6}
      />
      <Path
        d={`M${left - 8} ${top}h12M${left + width - 4} ${top}h12`}
        stroke={COLOURS.cobalt}
        strokeWidth={6}
        strokeLinecap="round"
      />
      <Line x1={left + width + 34} y1={waterY} x2={left + width + 34} y2={floor} stroke={COLOURS.ink} strokeWidth={2} />
      <Path
        d={`M${left + width + 29} ${waterY}h10M${left + width + 29} ${floor}h10`}
        stroke={COLOURS.ink}
        strokeWidth={2}
      />
      {waterY < jarTop && (
        <Path
          d={`M${left + width + 12} ${waterY}h10M${left + width + 12} ${jarTop}h10M${left + width + 17} ${waterY}V${jarTop}`}
          stroke={COLOURS.ink}
          strokeWidth={2}
        />
      )}
    </Svg>
  );
}
