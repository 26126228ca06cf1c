import { type ProduceId } from '@hoddle/core/handbook/produce';
import Svg, { Circle, Ellipse, Path } from 'react-native-svg';
import { COLOURS, hueOfCrop } from './colours';

const HEAP: readonly [number, number][] = [
  [14, 25],
  [26, 24],
  [38, 25],
  [49, 26],
  [20, 16],
  [32, 15],
  [43, 17],
  [26, 8],
  [37, 8],
];

const LONG: readonly ProduceId[] = ['bean-snap', 'rhubarb'];
const SMALL: readonly ProduceId[] = ['cherry-sour', 'gooseberry', 'damson'];

/** A slatted basket with its crop heaped in it. */
export function Basket({ crop }: { crop: ProduceId }) {
  const { hue } = hueOfCrop(crop);
  return (
    <Svg width={64} height={60} viewBox="0 0 64 60" aria-hidden>
      {HEAP.map(([x, y], i) => {
        const look = { fill: hue, stroke: COLOURS.plate, strokeWidth: 1.3 };
        const key = `${x} ${y}`;
        if (LONG.includes(crop))
          return (
            <Ellipse
              key={key}
              cx={x}
              cy={y}
              rx={13}
              ry={3.4}
              {...look}
              transform={`rotate(${i % 2 ? 18 : -16} ${x} ${y})`}
            />
          );
        if (crop === 'tomato-paste')
          return (
            <Ellipse key={key} cx={x} cy={y} rx={8} ry={6} {...look} transform={`rotate(${(i * 47) % 90} ${x} ${y})`} />
          );
        return <Circle key={key} cx={x} cy={y} r={SMALL.includes(crop) ? 4.6 : 6.6} {...look} />;
      })}
      <Path d="M3 29H61L54 58H10Z" fill={COLOURS.plate} stroke={COLOURS.ink} strokeWidth={1.8} strokeLinejoin="round" />
      <Path d="M2 28h60" stroke={COLOURS.ink} strokeWidth={4.4} strokeLinecap="round" />
      <Path d="M6 43h52M20 30l2.500 28M32 30v28M44 30l-2.500 28" stroke={COLOURS.ink} strokeWidth={1.3} />
    </Svg>
  );
}
