import { type BoilRun } from '@hoddle/core/kitchen/boilRuns';
import { type LoadCurve } from '@hoddle/core/kitchen/loadCurve';
import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Circle, G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { clockTime } from '@/ui/clockWords';
import { COLOURS } from '@/ui/colours';
import { type Units } from '@/ui/amountWords';

interface CurveDrawingProps {
  curve: LoadCurve;
  runs: readonly BoilRun[];
  units: Units;
  now: number;
  /** Words for screen readers. */
  label: string;
}

const HEIGHT = 300;
const FOOT = 34;
const TOP = 30;
const LEFT = 62;
const MINUTE_MS = 60_000;

/** A load as its probe read it: a thermometer at the left, where water boils as a line, the boil that counts as a solid block. */
export function CurveDrawing({ curve, runs, units, now, label }: CurveDrawingProps) {
  const [width, setWidth] = useState(340);
  const { points, startAt, wants, measures } = curve;
  const values = points.map(([, tenths]) => tenths / 10);
  const highest = Math.max(wants, ...values) + 3;
  const lowest = Math.floor((Math.min(wants - 20, ...values) - 2) / 10) * 10;
  const lastRun = runs.at(-1);
  const end = Math.max(startAt + ((points.at(-1)?.[0] ?? 0) + 30) * 1_000, lastRun?.to ?? 0, startAt + 10 * MINUTE_MS);
  const floor = HEIGHT - FOOT;
  const x = (at: number) => LEFT + ((at - startAt) / (end - startAt)) * (width - LEFT - 8);
  const y = (value: number) => floor - ((value - lowest) / (highest - lowest)) * (floor - TOP);
  const line = points
    .map(([seconds, tenths], i) => `${i === 0 ? 'M' : 'L'}${x(startAt + (seconds + 15) * 1_000)} ${y(tenths / 10)}`)
    .join('');
  const shown = (value: number) => (measures === 'F' && units === 'metric' ? (value - 32) / 1.8 : value);
  const ticks = ticksOf(lowest, highest, measures === 'F' && units === 'metric');
  const marks = [startAt, ...runs.flatMap(({ from, to }) => [from, ...(to === undefined ? [] : [to])])];
  return (
    <View role="img" aria-label={label} onLayout={(event) => setWidth(event.nativeEvent.layout.width)}>
      <Svg width={width} height={HEIGHT} aria-hidden>
        <Rect x={LEFT} y={TOP} width={width - LEFT - 8} height={floor - TOP} fill={COLOURS.heatWash} />
        {runs.map(({ from, to = now, held }, i) => (
          <Rect
            key={from}
            x={x(from)}
            y={y(wants)}
            width={Math.max(2, x(Math.min(end, to)) - x(from))}
            height={floor - y(wants)}
            fill={COLOURS.boil}
            opacity={held || i === runs.length - 1 ? 1 : 0.28}
          />
        ))}
        {ticks.map((value) => (
          <G key={value}>
            <Line x1={34} x2={44} y1={y(value)} y2={y(value)} stroke={COLOURS.ink} strokeWidth={1.6} />
            <SvgText x={30} y={y(value) + 4.5} fontSize={13} textAnchor="end" fontFamily={FONT} fill={COLOURS.ink}>
              {Math.round(shown(value))}
            </SvgText>
          </G>
        ))}
        <Rect
          x={40}
          y={TOP}
          width={12}
          height={floor - TOP + 4}
          rx={6}
          fill={COLOURS.plate}
          stroke={COLOURS.ink}
          strokeWidth={1.8}
        />
        <Circle cx={46} cy={floor + 8} r={9} fill={COLOURS.ink} />
        <Rect x={43.5} y={y(wants)} width={5} height={floor - y(wants) + 6} fill={COLOURS.ink} />
        <Line x1={46} x2={width - 4} y1={y(wants)} y2={y(wants)} stroke={COLOURS.cobalt} strokeWidth={2.2} />
        <Path d={line} fill="none" stroke={COLOURS.plate} strokeWidth={6} strokeLinejoin="round" />
        <Path d={line} fill="none" stroke={COLOURS.ink} strokeWidth={3} strokeLinejoin="round" />
        <Line x1={LEFT} x2={width - 8} y1={floor} y2={floor} stroke={COLOURS.ink} strokeWidth={1.8} />
        {apart(marks, x).map((at) => (
          <G key={at}>
            <Line x1={x(at)} x2={x(at)} y1={floor} y2={floor + 6} stroke={COLOURS.ink} strokeWidth={1.8} />
            <SvgText
              x={Math.min(Math.max(x(at), LEFT + 28), width - 30)}
              y={floor + 22}
              fontSize={13}
              textAnchor="middle"
              fontFamily={FONT}
              fill={COLOURS.ink}
            >
              {clockTime(at)}
            </SvgText>
          </G>
        ))}
      </Svg>
    </View>
  );
}

const FONT = 'Atkinson600';

function ticksOf(lowest: number, highest: number, isCelsius: boolean): number[] {
  const step = isCelsius ? 9 : 10;
  const first = isCelsius ? 32 + 1.8 * Math.ceil((lowest - 32) / 9) * 5 : Math.ceil(lowest / 10) * 10;
  const count = Math.floor((highest - first) / step) + 1;
  return Array.from({ length: Math.max(0, count) }, (_, i) => first + i * step);
}

/** Times that can be read beside each other. */
function apart(times: readonly number[], x: (at: number) => number): number[] {
  const kept: number[] = [];
  for (const at of [...new Set(times)].sort((a, b) => a - b)) {
    const last = kept.at(-1);
    if (last === undefined || x(at) - x(last) >= 58) kept.push(at);
  }
  return kept;
}
