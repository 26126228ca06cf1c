import { type Fate } from '@hoddle/core/handbook/cards/card';
import { type ReactElement } from 'react';
import Svg, { Circle, Path } from 'react-native-svg';
import { COLOURS } from '@/ui/colours';

const LINE = {
  stroke: COLOURS.ink,
  strokeWidth: 2.4,
  fill: 'none',
  strokeLinecap: 'round',
  strokeLinejoin: 'round',
} as const;

const DRAWINGS: Readonly<Record<Fate | 'open', ReactElement>> = {
  jar: (
    <>
      <Path d="M8 16H32V27Q32 30 29 30H11Q8 30 8 27Z" fill={COLOURS.acid} />
      <Path d="M8 9V27Q8 30 11 30H29Q32 30 32 27V9M4 9H36M13 20h.1M20 24h.1M27 20h.1M17 19h.1" {...LINE} />
    </>
  ),
  'per-jar': (
    <>
      <Path d="M12 10Q10 12 10 15V29Q10 32 13 32H27Q30 32 30 29V15Q30 12 28 10Z" fill={COLOURS.plate} />
      <Path
        d="M12 4H28V10H12ZM12 10Q10 12 10 15V29Q10 32 13 32H27Q30 32 30 29V15Q30 12 28 10M14 30L26 18M14 24L21 16"
        {...LINE}
      />
    </>
  ),
  drained: (
    <>
      <Path d="M6 14q3.500-3 7 0t7 0 7 0 7 0V20Q34 24 30 24H10Q6 24 6 20Z" fill={COLOURS.water} />
      <Path d="M2 8H8M32 8H38M6 8V20Q6 24 10 24H30Q34 24 34 20V8M20 24V33M16 30l4 4 4-4" {...LINE} />
    </>
  ),
  'taken-out': (
    <>
      <Path d="M14 32V26Q14 16 20 16Q26 16 26 26V32M8 32H32M17 16L20 13L23 16M20 13V4M16 8l4-4 4 4" {...LINE} />
      <Circle cx={18} cy={24} r={1} fill={COLOURS.ink} />
      <Circle cx={22} cy={26} r={1} fill={COLOURS.ink} />
    </>
  ),
  open: (
    <>
      <Path d="M8 9V27Q8 30 11 30H29Q32 30 32 27V9M4 9H36" {...LINE} stroke={COLOURS.keyEdge} strokeDasharray="4 3" />
      <Path d="M17 17Q17 14 20 14Q23 14 23 17Q23 19 20 20V22M20 26h.1" {...LINE} />
    </>
  ),
};

/** The vessel an ingredient goes into: a pot, a jar, a sink, a bag that is fished out; dashed while nobody knows. */
export function FateDrawing({ fate }: { fate: Fate | 'open' }) {
  return (
    <Svg width={40} height={36} viewBox="0 0 40 36" aria-hidden>
      {DRAWINGS[fate]}
    </Svg>
  );
}
