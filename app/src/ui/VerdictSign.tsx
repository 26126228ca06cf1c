import Svg, { Circle, Path } from 'react-native-svg';
import { COLOURS } from './colours';
import { NeverSign } from './NeverSign';

/** Allowed is a tick in a ring, within limits a tick between brackets, never an octagon with a bar; always ink, the word beside it. */
export function VerdictSign({ verdict, size }: { verdict: 'allowed' | 'within-limits' | 'never'; size: number }) {
  if (verdict === 'never') return <NeverSign size={size} />;
  const line = {
    stroke: COLOURS.ink,
    strokeWidth: 2.8,
    fill: 'none',
    strokeLinecap: 'round',
    strokeLinejoin: 'round',
  } as const;
  return (
    <Svg width={size} height={size} viewBox="0 0 28 28" aria-hidden>
      {verdict === 'allowed' ? (
        <Circle cx={14} cy={14} r={12} {...line} />
      ) : (
        <Path d="M7 3H3V25H7M21 3H25V25H21" {...line} />
      )}
      <Path d="M8.500 14.500l4 4l7-8.500" {...line} strokeWidth={3.4} />
    </Svg>
  );
}
