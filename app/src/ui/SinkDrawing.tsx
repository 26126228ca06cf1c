import Svg, { Path } from 'react-native-svg';
import { COLOURS } from './colours';

/** A basin with its drain: what goes in here is poured off, and is in no pot. */
export function SinkDrawing() {
  return (
    <Svg width={92} height={78} viewBox="0 0 92 78" aria-hidden>
      <Path d="M10 22V48Q10 56 18 56H66Q74 56 74 48V22Z" fill={COLOURS.plate} />
      <Path
        d="M11 34q5-4 10.500 0t10.500 0 10.500 0 10.500 0 10.500 0 9.500 0V48Q73 55 66 55H18Q11 55 11 48Z"
        fill={COLOURS.water}
      />
      <Path
        d="M11 34q5-4 10.500 0t10.500 0 10.500 0 10.500 0 10.500 0 9.500 0"
        stroke={COLOURS.waterLine}
        strokeWidth={2}
        fill="none"
      />
      <Path
        d="M4 20H16M68 20H80M10 20V48Q10 56 18 56H66Q74 56 74 48V20"
        stroke={COLOURS.ink}
        strokeWidth={3.4}
        strokeLinecap="round"
        fill="none"
      />
      <Path
        d="M42 57V66Q42 73 50 73H52Q60 73 60 66V64Q60 60 66 60H72Q77 60 77 66V76"
        stroke={COLOURS.ink}
        strokeWidth={9}
        fill="none"
      />
      <Path
        d="M42 57V66Q42 73 50 73H52Q60 73 60 66V64Q60 60 66 60H72Q77 60 77 66V76"
        stroke={COLOURS.water}
        strokeWidth={4}
        fill="none"
      />
      <Path d="M34 57H50" stroke={COLOURS.ink} strokeWidth={4} strokeLinecap="round" />
    </Svg>
  );
}
