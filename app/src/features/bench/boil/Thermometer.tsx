import Svg, { Circle, Line, Path, Rect } from 'react-native-svg';
import { COLOURS } from '@/ui/colours';

const [LOW_F, HIGH_F] = [185, 225];
const HEIGHT = 210;
const TOP = 16;

/** A thermometer from 185 to 225 F: the column at the boil, a mark for the boil and one for the set. */
export function Thermometer({ boilsF, setsF }: { boilsF: number; setsF: number }) {
  const y = (degrees: number) => TOP + (1 - (degrees - LOW_F) / (HIGH_F - LOW_F)) * (HEIGHT - TOP - 40);
  const ticks = Array.from({ length: 9 }, (_, i) => LOW_F + 5 * i);
  return (
    <Svg width={96} height={HEIGHT} aria-hidden>
      <Rect
        x={22}
        y={6}
        width={24}
        height={HEIGHT - 40}
        rx={12}
        fill={COLOURS.plate}
        stroke={COLOURS.ink}
        strokeWidth={2.4}
      />
      <Circle cx={34} cy={HEIGHT - 26} r={20} fill={COLOURS.ink} />
      <Rect x={29} y={y(boilsF)} width={10} height={HEIGHT - 26 - y(boilsF)} fill={COLOURS.ink} />
      {ticks.map((degrees) => (
        <Line
          key={degrees}
          x1={46}
          x2={degrees % 10 === 0 ? 60 : 54}
          y1={y(degrees)}
          y2={y(degrees)}
          stroke={COLOURS.ink}
          strokeWidth={1.8}
        />
      ))}
      <Circle cx={82} cy={y(boilsF)} r={11} fill={COLOURS.boil} />
      <Circle cx={78} cy={y(boilsF) + 2} r={2.4} fill={COLOURS.white} />
      <Circle cx={85} cy={y(boilsF) - 3} r={2.4} fill={COLOURS.white} />
      <Path d={`M62 ${y(boilsF)}h8M62 ${y(setsF)}h32`} stroke={COLOURS.cobalt} strokeWidth={4} />
    </Svg>
  );
}
