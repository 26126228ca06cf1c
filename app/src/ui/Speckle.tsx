import { memo } from 'react';
import { StyleSheet, View } from 'react-native';
import Svg, { Circle } from 'react-native-svg';
import { COLOURS } from './colours';

const COUNT = 260;

/** Steps of two irrational numbers fall evenly and never in rows: the same speckle each time, without chance. */
const SPECKS = Array.from({ length: COUNT }, (_, i) => ({
  x: ((i * 0.754_877_666) % 1) * 100,
  y: ((i * 0.569_840_291) % 1) * 100,
  r: 0.5 + ((i * 0.618_034) % 1) ** 3 * 2,
  opacity: 0.16 + ((i * 0.414_214) % 1) * 0.3,
}));

/** Graniteware: the speckled dark ground of the kitchen. Drawn once: the clock over it ticks four times a second. */
export const Speckle = memo(function Speckle() {
  return (
    <View style={[StyleSheet.absoluteFill, { pointerEvents: 'none' }]} aria-hidden>
      <Svg width="100%" height="100%">
        {SPECKS.map(({ x, y, r, opacity }, i) => (
          <Circle key={i} cx={`${x}%`} cy={`${y}%`} r={r} fill={COLOURS.speck} fillOpacity={opacity} />
        ))}
      </Svg>
    </View>
  );
});
