import { memo } from 'react';
import Svg, { Circle, Path } from 'react-native-svg';
import { COLOURS } from './colours';

/** Spoons full of acid, one for each whole or begun tablespoon. */
export const Spoons = memo(function Spoons({ count }: { count: number }) {
  const spoons = Math.min(4, Math.ceil(count));
  return (
    <Svg width={54} height={spoons * 18} aria-hidden>
      {Array.from({ length: spoons }, (_, i) => (
        <Path
          key={i}
          d={`M3 ${i * 18 + 4}h15a7.500 7.500 0 0 1-15 0Z`}
          fill={COLOURS.acid}
          stroke={COLOURS.ink}
          strokeWidth={1.5}
        />
      ))}
      {Array.from({ length: spoons }, (_, i) => (
        <Path key={`handle ${i}`} d={`M18 ${i * 18 + 4}h28`} stroke={COLOURS.ink} strokeWidth={2} />
      ))}
      {Array.from({ length: spoons }, (_, i) => (
        <Circle key={`end ${i}`} cx={48} cy={i * 18 + 4} r={2.4} fill="none" stroke={COLOURS.ink} strokeWidth={1.6} />
      ))}
    </Svg>
  );
});
