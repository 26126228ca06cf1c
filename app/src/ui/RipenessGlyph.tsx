import Svg, { Circle, Line, Path } from 'react-native-svg';
import { COLOURS } from './colours';

/** Ripeness as a shape: a ring with a bar is green, a ring is firm, filled is ripe, slumped with the dashed core of the fuse is soft. */
export function RipenessGlyph({ ripeness, hue }: { ripeness: 'green' | 'firm' | 'ripe' | 'soft'; hue: string }) {
  return (
    <Svg width={26} height={24} viewBox="0 0 26 24" aria-hidden>
      <Line
        x1={13}
        y1={ripeness === 'soft' ? 9 : 5}
        x2={ripeness === 'soft' ? 16 : 13}
        y2={ripeness === 'soft' ? 4 : 1}
        stroke={COLOURS.ink}
        strokeWidth={2.2}
        strokeLinecap="round"
      />
      {ripeness === 'firm' && <Circle cx={13} cy={14} r={7.6} fill={COLOURS.plate} stroke={hue} strokeWidth={2.8} />}
      {ripeness === 'green' && (
        <>
          <Circle cx={13} cy={14} r={7.6} fill={COLOURS.plate} stroke="#4F7A1C" strokeWidth={2.8} />
          <Line x1={9} y1={14} x2={17} y2={14} stroke="#4F7A1C" strokeWidth={2.8} strokeLinecap="round" />
        </>
      )}
      {ripeness === 'ripe' && <Circle cx={13} cy={14} r={9} fill={hue} />}
      {ripeness === 'soft' && (
        <>
          <Path
            d="M1 17.500c0-5 4-9 8-9.500 2-.300 3 .600 4.500 .600 2 0 4-1 6.500 .400 3 1.700 5 5 5 8.500 0 4-5 5.500-12 5.500S1 21.500 1 17.500Z"
            fill={hue}
          />
          <Path d="M6 16.500q7 4 14 0" stroke={COLOURS.white} strokeWidth={2.2} strokeDasharray="3 3.500" fill="none" />
        </>
      )}
    </Svg>
  );
}
