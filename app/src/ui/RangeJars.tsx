import { type JarSize } from '@hoddle/core/handbook/jars';
import { type Range } from '@hoddle/core/math/range';
import { useId } from 'react';
import Svg, { Circle, G, Line } from 'react-native-svg';
import { COLOURS, type Mark } from './colours';
import { JarDefs, JarFigure } from './JarDrawing';
import { jarShape } from './jarShape';

interface RangeJarsProps {
  size: JarSize;
  jars: Range;
  /** Jars one canner load holds; a gap and an ink tray set loads apart. */
  perLoad: number;
  quartPx: number;
  hue: string;
  mark: Mark;
}

/** Small jars stand in files, each half hidden by the next. */
const OVERLAP: Partial<Record<JarSize, number>> = { pint: 0.58, 'half-pint': 0.58 };
const LOAD_GAP_PX = 5;
const BAR_PX = 16;

/** Where jar `index` stands, in jar widths and gaps. */
function xOf(index: number, step: number, perLoad: number): number {
  return index * step + Math.floor(index / perLoad) * LOAD_GAP_PX;
}

/** The width of so many jars at a scale. */
export function rangeWidth(size: JarSize, count: number, perLoad: number, quartPx: number): number {
  const { width } = jarShape(size, quartPx);
  const step = width * (OVERLAP[size] ?? 1.08);
  return xOf(Math.max(0, count - 1), step, perLoad) + width + 4;
}

/** Jars as a range: hatched up to the likely one, dashed to the upper end; over them the bar of 8 in 10 and its knot. */
export function RangeJars({ size, jars, perLoad, quartPx, hue, mark }: RangeJarsProps) {
  const patternId = useId().replaceAll(':', '');
  const shape = jarShape(size, quartPx);
  const step = shape.width * (OVERLAP[size] ?? 1.08);
  const middle = (count: number) => xOf(Math.max(0, count - 1), step, perLoad) + shape.width / 2;
  const top = BAR_PX;
  const floor = top + shape.height + 2;
  const loads = Math.ceil(jars.p90 / perLoad);
  return (
    <Svg
      width={rangeWidth(size, jars.p90, perLoad, quartPx)}
      height={floor + 4}
      viewBox={`-2 0 ${rangeWidth(size, jars.p90, perLoad, quartPx)} ${floor + 4}`}
      aria-hidden
    >
      <JarDefs patternId={patternId} hue={hue} mark={mark} />
      {Array.from({ length: jars.p90 }, (_, i) => jars.p90 - 1 - i).map((index) => (
        <G key={index} x={xOf(index, step, perLoad)} y={top}>
          <JarFigure
            size={size}
            quartPx={quartPx}
            hue={hue}
            look={index < jars.p50 ? 'planned' : 'gap'}
            patternId={patternId}
          />
        </G>
      ))}
      {Array.from({ length: loads }, (_, load) => {
        const last = Math.min((load + 1) * perLoad, jars.p90) - 1;
        return (
          <Line
            key={load}
            x1={xOf(load * perLoad, step, perLoad)}
            y1={floor + 1}
            x2={xOf(last, step, perLoad) + shape.width}
            y2={floor + 1}
            stroke={COLOURS.ink}
            strokeWidth={2.4}
          />
        );
      })}
      {jars.p50 > 0 && (
        <G>
          <Line x1={middle(jars.p10)} y1={7} x2={middle(jars.p90)} y2={7} stroke={COLOURS.cobalt} strokeWidth={2.6} />
          <Line x1={middle(jars.p10)} y1={2} x2={middle(jars.p10)} y2={12} stroke={COLOURS.cobalt} strokeWidth={2.6} />
          <Line x1={middle(jars.p90)} y1={2} x2={middle(jars.p90)} y2={12} stroke={COLOURS.cobalt} strokeWidth={2.6} />
          <Circle cx={middle(jars.p50)} cy={7} r={5} fill={COLOURS.cobalt} />
        </G>
      )}
    </Svg>
  );
}
