import { memo } from 'react';
import Svg, { Line, Path, Rect, Text } from 'react-native-svg';
import { COLOURS } from '@/ui/colours';

interface JugProps {
  waterCups: number;
  /** Stands on top of the water: sugar not yet stirred in. */
  overCups?: number;
  overHue?: string;
}

const WIDTH = 108;
const HEIGHT = 150;
const BOTTOM = HEIGHT - 8;
const TOP = 26;

/** A measuring jug filled to the amount, with a tick each cup; the scale of the jug follows what it must hold. */
export const Jug = memo(function Jug({ waterCups, overCups = 0, overHue }: JugProps) {
  const holds = Math.max(2, Math.ceil((waterCups + overCups) * 1.15));
  const pxPerCup = (BOTTOM - TOP) / holds;
  const every = holds > 24 ? 8 : holds > 12 ? 4 : holds > 6 ? 2 : 1;
  const water = waterCups * pxPerCup;
  const over = overCups * pxPerCup;
  const ticks = Array.from({ length: Math.floor(holds / every) }, (_, i) => (i + 1) * every);
  return (
    <Svg width={WIDTH + 40} height={HEIGHT} aria-hidden>
      <Rect x={16} y={BOTTOM - water} width={WIDTH - 16} height={water} fill={COLOURS.water} />
      {overHue !== undefined && (
        <Rect x={16} y={BOTTOM - water - over} width={WIDTH - 16} height={over} fill={overHue} fillOpacity={0.75} />
      )}
      {water > 0 && (
        <Path
          d={`M16 ${BOTTOM - water}${'q5.750-4 11.500 0t11.500 0'.repeat(4)}`}
          stroke={COLOURS.waterLine}
          strokeWidth={2}
          fill="none"
        />
      )}
      {ticks.map((cups) => (
        <Line
          key={cups}
          x1={16}
          x2={36}
          y1={BOTTOM - cups * pxPerCup}
          y2={BOTTOM - cups * pxPerCup}
          stroke={COLOURS.ink}
          strokeWidth={1.8}
        />
      ))}
      {ticks.map((cups) => (
        <Text
          key={`${cups} words`}
          x={42}
          y={BOTTOM - cups * pxPerCup + 5}
          fontFamily="Atkinson600"
          fontSize={14}
          fill={COLOURS.ink}
        >
          {cups}
        </Text>
      ))}
      <Path
        d={`M4 8L16 18V${BOTTOM - 6}Q16 ${BOTTOM} 22 ${BOTTOM}H${WIDTH - 6}Q${WIDTH} ${BOTTOM} ${WIDTH} ${BOTTOM - 6}V12H16`}
        stroke={COLOURS.ink}
        strokeWidth={2.6}
        fill="none"
        strokeLinejoin="round"
      />
      <Path
        d={`M${WIDTH} 36Q${WIDTH + 32} 36 ${WIDTH + 32} 70Q${WIDTH + 32} 104 ${WIDTH} 104`}
        stroke={COLOURS.ink}
        strokeWidth={6}
        fill="none"
      />
    </Svg>
  );
});
