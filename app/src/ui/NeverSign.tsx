import Svg, { Path } from 'react-native-svg';
import { COLOURS } from './colours';

/** Never: a solid octagon with a bar. The word stands beside it. */
export function NeverSign({ size = 28 }: { size?: number }) {
  return (
    <Svg width={size} height={size} viewBox="0 0 28 28" aria-hidden>
      <Path d="M8.500 1h11L27 8.500v11L19.500 27h-11L1 19.500v-11Z" fill={COLOURS.ink} />
      <Path d="M7 14h14" stroke={COLOURS.white} strokeWidth={4} strokeLinecap="round" />
    </Svg>
  );
}
