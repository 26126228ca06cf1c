import { type Range } from '@hoddle/core/math/range';
import { inYieldUnit, yieldWords } from '@hoddle/core/yields/yieldRange';
import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Circle, G, Line, Path, Text as SvgText } from 'react-native-svg';
import { type Units } from '@/ui/amountWords';
import { COLOURS } from '@/ui/colours';

interface YieldScaleProps {
  hue: string;
  units: Units;
  printed: number;
  /** The 8 in 10 by the page alone, and by all that is known now; pounds a quart. */
  before: Range;
  now: Range;
  batches: readonly { readonly id: string; readonly lbPerQuart: number; readonly madeAt: number }[];
}

const LEFT_PX = 74;
const ROW_PX = 34;
const DOT_PX = 15;

/**
 * One axis of pounds a quart: what the page alone says, every batch as a jar lid (the newest solid), and what is expected
 * next, as a bar with its knot. Fewer pounds a quart are more jars.
 */
export function YieldScale({ hue, units, printed, before, now, batches }: YieldScaleProps) {
  const [width, setWidth] = useState(358);
  const values = [before.p10, before.p90, now.p10, now.p90, ...batches.map(({ lbPerQuart }) => lbPerQuart)];
  const [low, high] = [Math.min(...values) * 0.94, Math.max(...values) * 1.06];
  const x = (lb: number) =>
    LEFT_PX + ((Math.log(lb) - Math.log(low)) / (Math.log(high) - Math.log(low))) * (width - LEFT_PX - 12);
  const newest = Math.max(...batches.map(({ madeAt }) => madeAt));
  const rows = batches.length > 0 ? 3 : 2;
  const stacked = stack(batches.map(({ lbPerQuart }) => x(lbPerQuart)));
  const tall = batches.length > 0 ? Math.max(0, ...stacked) * DOT_PX : 0;
  const yBefore = 18;
  const yBatches = yBefore + ROW_PX + tall;
  const yNow = batches.length > 0 ? yBatches + ROW_PX : yBefore + ROW_PX;
  const axis = yNow + 24;
  // Whole steps of the household's own unit.
  const perUnit = inYieldUnit(1, units);
  const ticks = ticksBetween(low * perUnit, high * perUnit);
  const short = (lb: number) => yieldWords(lb, units).split(' ')[0];
  const label = `By the page ${short(before.p10)} to ${yieldWords(before.p90, units)}, printed ${short(printed)}; ${batches.length} batches; next ${short(now.p10)} to ${short(now.p90)}, likely ${short(now.p50)}.`;
  return (
    <View role="img" aria-label={label} onLayout={(event) => setWidth(event.nativeEvent.layout.width)}>
      <Svg width={width} height={axis + 24} aria-hidden>
        <Line
          x1={x(printed)}
          y1={4}
          x2={x(printed)}
          y2={axis}
          stroke={COLOURS.ink2}
          strokeWidth={1.6}
          strokeDasharray="4 4"
        />
        <RowName y={yBefore} words="printed" />
        <Interval y={yBefore} range={before} x={x} colour={COLOURS.ink2} />
        {rows === 3 && <RowName y={yBatches} words="yours" />}
        {batches.map(({ id, lbPerQuart, madeAt }, i) => (
          <Circle
            key={id}
            cx={x(lbPerQuart)}
            cy={yBatches - (stacked[i] ?? 0) * DOT_PX}
            r={6}
            fill={madeAt === newest ? hue : COLOURS.plate}
            stroke={hue}
            strokeWidth={2.2}
          />
        ))}
        <RowName y={yNow} words="next" />
        <Interval y={yNow} range={now} x={x} colour={COLOURS.cobalt} />
        <Path d={`M${LEFT_PX} ${axis}H${width - 8}`} stroke={COLOURS.ink} strokeWidth={1.6} />
        {ticks.map((tick) => (
          <G key={tick}>
            <Line
              x1={x(tick / perUnit)}
              y1={axis}
              x2={x(tick / perUnit)}
              y2={axis + 5}
              stroke={COLOURS.ink}
              strokeWidth={1.6}
            />
            <SvgText
              x={x(tick / perUnit)}
              y={axis + 19}
              fill={COLOURS.ink}
              fontSize={13.5}
              fontFamily="Atkinson500"
              textAnchor="middle"
            >
              {`${tick} ${units === 'metric' ? 'kg' : 'lb'}`}
            </SvgText>
          </G>
        ))}
      </Svg>
    </View>
  );
}

function RowName({ y, words }: { y: number; words: string }) {
  return (
    <SvgText x={0} y={y + 5} fill={COLOURS.ink} fontSize={15} fontFamily="Atkinson600">
      {words}
    </SvgText>
  );
}

function Interval({ y, range, x, colour }: { y: number; range: Range; x: (lb: number) => number; colour: string }) {
  const [low, likely, high] = [x(range.p10), x(range.p50), x(range.p90)];
  return (
    <G>
      <Line x1={low} y1={y} x2={high} y2={y} stroke={colour} strokeWidth={2.6} />
      <Line x1={low} y1={y - 6} x2={low} y2={y + 6} stroke={colour} strokeWidth={2.6} />
      <Line x1={high} y1={y - 6} x2={high} y2={y + 6} stroke={colour} strokeWidth={2.6} />
      <Circle cx={likely} cy={y} r={5.5} fill={colour} />
    </G>
  );
}

/** How many dots lie under each, so that none hides another. */
function stack(xs: readonly number[]): number[] {
  return xs.map((x, i) => xs.slice(0, i).filter((other) => Math.abs(other - x) < DOT_PX).length);
}

function ticksBetween(low: number, high: number): number[] {
  const step = [0.05, 0.1, 0.2, 0.5, 1, 2, 5].find((each) => (high - low) / each <= 5) ?? 10;
  const first = Math.ceil(low / step);
  return Array.from(
    { length: Math.floor(high / step) - first + 1 },
    (_, i) => Math.round((first + i) * step * 100) / 100,
  );
}
