import { useState } from 'react';
import { type LayoutChangeEvent, View } from 'react-native';
import Svg, { Line, Path } from 'react-native-svg';
import { COLOURS } from './colours';
import { Words } from './Words';

interface FuseProps {
  hue: string;
  daysLeft: number;
  daysInAll: number;
  words: string;
  /** With a day or less left the fuse has a dashed core. */
  urgent: boolean;
}

const PX_PER_DAY = 46;
const WORDS_PX = 150;

/** A fuse that burns from right to left: a knot at each day left, the spark at the end, ash out to its first length. */
export function Fuse({ hue, daysLeft, daysInAll, words, urgent }: FuseProps) {
  const [width, setWidth] = useState(326);
  const measure = (event: LayoutChangeEvent) => setWidth(event.nativeEvent.layout.width);
  const spark = Math.max(10, Math.min(daysLeft * PX_PER_DAY, width - WORDS_PX));
  const ashEnd = Math.min(width - 3, Math.max(spark + 20, daysInAll * PX_PER_DAY));
  const knots = Array.from({ length: Math.ceil(daysLeft) }, (_, day) => (day + 1) * PX_PER_DAY).filter(
    (x) => x < spark - 8,
  );
  return (
    <View className="h-[22px] justify-center" onLayout={measure}>
      <Svg width={width} height={22} aria-hidden style={{ position: 'absolute' }}>
        {ashEnd > spark + 14 && (
          <>
            <Line
              x1={spark + 12}
              y1={11}
              x2={ashEnd}
              y2={11}
              stroke={COLOURS.edge}
              strokeWidth={2}
              strokeDasharray="1 5"
              strokeLinecap="round"
            />
            <Line x1={ashEnd} y1={7} x2={ashEnd} y2={15} stroke={COLOURS.edge} strokeWidth={1.4} />
          </>
        )}
        <Line x1={4} y1={11} x2={spark} y2={11} stroke={hue} strokeWidth={7} strokeLinecap="round" />
        {urgent && (
          <Line x1={7} y1={11} x2={spark - 4} y2={11} stroke={COLOURS.white} strokeWidth={2} strokeDasharray="3 4" />
        )}
        {knots.map((x) => (
          <Line key={x} x1={x} y1={6} x2={x} y2={16} stroke={COLOURS.plate} strokeWidth={2.6} />
        ))}
        <Path d={sparkPath(spark, 11)} fill={COLOURS.ink} />
      </Svg>
      <View className="absolute bg-ground px-1" style={{ left: spark + 9 }}>
        <Words size="small" weight={700}>
          {words}
        </Words>
      </View>
    </View>
  );
}

/** A star of eight points. */
function sparkPath(x: number, y: number): string {
  const points = Array.from({ length: 16 }, (_, i) => {
    const radius = i % 2 === 0 ? 7 : 3;
    const angle = (Math.PI * i) / 8;
    return `${(x + radius * Math.sin(angle)).toFixed(1)} ${(y - radius * Math.cos(angle)).toFixed(1)}`;
  });
  return `M${points.join('L')}Z`;
}
