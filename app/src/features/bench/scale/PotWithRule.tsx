import Svg, { Line, Path, Rect } from 'react-native-svg';
import { COLOURS } from '@/ui/colours';

const [WIDTH, HEIGHT] = [104, 104];

/** A pot with a rule in it: how much of one formula stands in each, and how many pots. */
export function PotWithRule({ fill, batches }: { fill: number; batches: number }) {
  const level = HEIGHT - 8 - Math.min(1.2, fill) * 56;
  return (
    <Svg width={WIDTH + (batches > 1 ? 26 : 16)} height={HEIGHT + 8} aria-hidden>
      {batches > 1 && (
        <Path d="M30 8H118V88" stroke={COLOURS.keyEdge} strokeWidth={2.4} fill="none" strokeDasharray="5 4" />
      )}
      <Rect
        x={10}
        y={18}
        width={WIDTH - 12}
        height={HEIGHT - 18}
        rx={8}
        fill={COLOURS.plate}
        stroke={COLOURS.ink}
        strokeWidth={2.6}
      />
      <Path
        d={`M12 ${level}${'q5.500-4 11 0t11 0'.repeat(4)}V${HEIGHT - 8}Q100 ${HEIGHT - 2} 94 ${HEIGHT - 2}H18Q12 ${HEIGHT - 2} 12 ${HEIGHT - 8}Z`}
        fill="#D0265C"
        fillOpacity={0.85}
      />
      <Path d="M4 18H108" stroke={COLOURS.cobalt} strokeWidth={5} strokeLinecap="round" />
      <Rect
        x={48}
        y={2}
        width={18}
        height={HEIGHT - 10}
        rx={3}
        fill={COLOURS.plate}
        stroke={COLOURS.ink}
        strokeWidth={2}
      />
      {[1 / 4, 1 / 2, 3 / 4, 1].map((part) => (
        <Line
          key={part}
          x1={48}
          x2={part === 1 ? 62 : 56}
          y1={HEIGHT - 8 - part * 56}
          y2={HEIGHT - 8 - part * 56}
          stroke={COLOURS.ink}
          strokeWidth={2}
        />
      ))}
    </Svg>
  );
}
