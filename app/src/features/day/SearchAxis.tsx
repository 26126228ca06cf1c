import { useId } from 'react';
import Svg, { Defs, Line, Path, Pattern, Rect } from 'react-native-svg';
import { COLOURS } from '@/ui/colours';

interface SearchAxisProps {
  /** Ends of the plans so far, minutes from the start. */
  ends: readonly number[];
  bestMin: number;
  boundMin: number;
}

const WIDTH = 300;
const HEIGHT = 34;
const BAR = 4;

/** One time axis: hatched where no plan can be over, dashed what is still open, a bar the best so far, faint the ones before. */
export function SearchAxis({ ends, bestMin, boundMin }: SearchAxisProps) {
  const hatch = useId().replaceAll(':', '');
  const worst = Math.max(bestMin, ...ends);
  // Room on the left for what is ruled out, and the gap never narrower than can be seen.
  const from = boundMin - Math.max(10, 0.4 * (worst - boundMin));
  const x = (minutes: number) => BAR + ((WIDTH - 2 * BAR) * (minutes - from)) / Math.max(1, worst - from);
  return (
    <Svg
      width="100%"
      height={HEIGHT}
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      preserveAspectRatio="none"
      role="img"
      aria-label={`${bestMin - boundMin} minutes are still open`}
    >
      <Defs>
        <Pattern id={hatch} width={7} height={7} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <Rect width={1.6} height={7} fill={COLOURS.keyEdge} />
        </Pattern>
      </Defs>
      <Rect x={0} y={9} width={Math.max(0, x(boundMin))} height={16} fill={`url(#${hatch})`} />
      <Line x1={x(boundMin)} y1={4} x2={x(boundMin)} y2={30} stroke={COLOURS.ink} strokeWidth={2} />
      <Line
        x1={x(boundMin)}
        y1={17}
        x2={x(bestMin)}
        y2={17}
        stroke={COLOURS.ink}
        strokeWidth={2}
        strokeDasharray="5 4"
      />
      {ends.slice(0, -1).map((end, i) => (
        <Path key={i} d={`M${x(end)} 6v22`} stroke={COLOURS.cobalt} strokeWidth={2} opacity={0.3} />
      ))}
      <Path d={`M${x(bestMin)} 3v28`} stroke={COLOURS.cobalt} strokeWidth={BAR} />
    </Svg>
  );
}
