import { inZone, momentInZone } from '@/store/householdZone';
import { type Forecast } from '@hoddle/core/pantry/forecast';
import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Circle, Line, Path, Text as SvgText } from 'react-native-svg';
import { COLOURS } from '@/ui/colours';
import { format } from 'date-fns/format';

const MONTH_MS = 30.44 * 24 * 60 * 60_000;
const HIGH = 64;

/** Now, the days on which the last jar may go, and the next crop, on one line of months. */
export function RunOutLine({ forecast, now }: { forecast: Forecast; now: number }) {
  const [width, setWidth] = useState(0);
  const { at, nextCropAt } = forecast;
  const last = Math.max(...[at.p90, at.p50, nextCropAt ?? 0].filter((each) => each < Infinity), now + 6 * MONTH_MS);
  const months = Math.min(36, Math.max(6, Math.ceil((last - now) / MONTH_MS) + 1));
  const x = (time: number) => 8 + ((width - 16) * Math.max(0, Math.min(months, (time - now) / MONTH_MS))) / months;
  const every = months > 18 ? 6 : months > 8 ? 2 : 1;
  const marks = Array.from({ length: months + 1 }, (_, i) => i).filter((i) => i % every === 0);
  const monthAt = (i: number) => momentInZone(inZone(now).getFullYear(), inZone(now).getMonth() + i, 1);
  return (
    <View aria-hidden onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)} style={{ height: HIGH }}>
      {width > 0 && (
        <Svg width={width} height={HIGH}>
          <Line x1={8} x2={width - 8} y1={34} y2={34} stroke={COLOURS.ink} strokeWidth={2} />
          {marks.map((i) => {
            const at0 = monthAt(i);
            if (at0 < now && i > 0) return null;
            return (
              <SvgText
                key={i}
                x={Math.max(10, x(at0))}
                y={56}
                fontSize={12}
                fill={COLOURS.ink2}
                textAnchor="middle"
                fontFamily="Atkinson500"
              >
                {format(inZone(at0), 'MMM')}
              </SvgText>
            );
          })}
          {marks.map((i) =>
            monthAt(i) < now ? null : (
              <Line
                key={`t${i}`}
                x1={x(monthAt(i))}
                x2={x(monthAt(i))}
                y1={30}
                y2={38}
                stroke={COLOURS.ink}
                strokeWidth={1.6}
              />
            ),
          )}
          <Line
            x1={x(at.p10)}
            x2={x(at.p90)}
            y1={34}
            y2={34}
            stroke={COLOURS.cobalt}
            strokeWidth={8}
            strokeLinecap="round"
          />
          <Circle cx={x(at.p50)} cy={34} r={8} fill={COLOURS.plate} stroke={COLOURS.cobalt} strokeWidth={4} />
          {nextCropAt !== undefined && (
            <Path
              d={`M${x(nextCropAt)} 26v-14m0 6q-9 -1 -10 -9q9 0 10 9q1 -8 10 -9q-1 8 -10 9`}
              fill="none"
              stroke={COLOURS.ink}
              strokeWidth={2.2}
              strokeLinejoin="round"
            />
          )}
        </Svg>
      )}
    </View>
  );
}
