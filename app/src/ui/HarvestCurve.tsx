import { type ProduceId } from '@hoddle/core/handbook/produce';
import { type Range } from '@hoddle/core/math/range';
import { useId, useState } from 'react';
import { View } from 'react-native';
import Svg, { Circle, Defs, G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { COLOURS, hueOfCrop } from './colours';
import { HatchPattern } from './patterns';

export interface CurveWeek {
  readonly startAt: number;
  readonly pickedKg: number;
  readonly expectedKg: Range;
  /** As the bed was set up, before any pick. */
  readonly usualKg: number;
}

interface HarvestCurveProps {
  crop: ProduceId;
  weeks: readonly CurveWeek[];
  now: number;
  heightPx: number;
  /** Words for screen readers. */
  label: string;
  /** Month names, the usual course and whiskers; a small one goes without. */
  full?: boolean;
}

const WEEK_MS = 7 * 24 * 60 * 60_000;
const FOOT_PX = 18;
const MONTH = new Intl.DateTimeFormat('en-US', { month: 'short', timeZone: 'UTC' });

/**
 * A harvest week by week: picked solid, expected hatched with its 8 in 10 as a bar and the likely as its knot; the course as
 * it was set up runs dashed over it, and a line stands at now.
 */
export function HarvestCurve({ crop, weeks, now, heightPx, label, full }: HarvestCurveProps) {
  const id = useId().replaceAll(':', '');
  const [width, setWidth] = useState(326);
  const { hue } = hueOfCrop(crop);
  const first = weeks[0]?.startAt ?? 0;
  const weekPx = Math.min(44, (width - 4) / Math.max(1, weeks.length));
  const mostKg = Math.max(1e-6, ...weeks.map((week) => Math.max(week.pickedKg + week.expectedKg.p90, week.usualKg)));
  const foot = full ? FOOT_PX : 2;
  const floor = heightPx - foot;
  const y = (kg: number) => floor - (kg / mostKg) * (floor - 6);
  const x = (i: number) => 2 + i * weekPx;
  const nowX = 2 + ((now - first) / WEEK_MS) * weekPx;
  const isInside = nowX >= 0 && nowX <= x(weeks.length);
  return (
    <View role="img" aria-label={label} onLayout={(event) => setWidth(event.nativeEvent.layout.width)}>
      <Svg width={width} height={heightPx} aria-hidden>
        <Defs>
          <HatchPattern id={id} hue={hue} />
        </Defs>
        <Line x1={2} y1={floor} x2={x(weeks.length)} y2={floor} stroke={COLOURS.ink} strokeWidth={1.6} />
        {weeks.map(({ startAt, pickedKg, expectedKg }, i) => {
          const [left, broad, middle] = [x(i) + 1.5, weekPx - 3, x(i) + weekPx / 2];
          const [low, likely, high] = [expectedKg.p10, expectedKg.p50, expectedKg.p90].map((kg) => y(pickedKg + kg));
          return (
            <G key={startAt}>
              <Rect x={left} y={y(pickedKg)} width={broad} height={floor - y(pickedKg)} fill={hue} />
              {expectedKg.p90 > 0 && (
                <Rect
                  x={left}
                  y={likely}
                  width={broad}
                  height={Math.max(0, y(pickedKg) - (likely ?? 0))}
                  fill={`url(#${id})`}
                  stroke={hue}
                  strokeWidth={1.2}
                />
              )}
              {full && expectedKg.p90 > mostKg * 0.02 && (
                <>
                  <Line x1={middle} y1={low} x2={middle} y2={high} stroke={COLOURS.cobalt} strokeWidth={2.2} />
                  <Line x1={middle - 4} y1={low} x2={middle + 4} y2={low} stroke={COLOURS.cobalt} strokeWidth={2.2} />
                  <Line x1={middle - 4} y1={high} x2={middle + 4} y2={high} stroke={COLOURS.cobalt} strokeWidth={2.2} />
                  <Circle cx={middle} cy={likely} r={4} fill={COLOURS.cobalt} />
                </>
              )}
            </G>
          );
        })}
        {full && (
          <Path
            d={weeks.map(({ usualKg }, i) => `${i === 0 ? 'M' : 'L'}${x(i) + weekPx / 2} ${y(usualKg)}`).join('')}
            fill="none"
            stroke={COLOURS.ink}
            strokeWidth={1.6}
            strokeDasharray="4 4"
          />
        )}
        {isInside && <Line x1={nowX} y1={0} x2={nowX} y2={floor} stroke={COLOURS.ink} strokeWidth={2} />}
        {full &&
          weeks.map(({ startAt }, i) =>
            i === 0 || new Date(startAt).getUTCMonth() !== new Date(startAt - WEEK_MS).getUTCMonth() ? (
              <SvgText
                key={startAt}
                x={x(i)}
                y={heightPx - 4}
                fill={COLOURS.ink2}
                fontSize={13}
                fontFamily="Atkinson500"
              >
                {MONTH.format(startAt)}
              </SvgText>
            ) : null,
          )}
      </Svg>
    </View>
  );
}
