import { printFraction } from '@hoddle/core/measure/fraction';
import { useId } from 'react';
import { View } from 'react-native';
import Svg, { Circle, Defs, Line, Path, Pattern, Rect } from 'react-native-svg';
import { COLOURS } from '@/ui/colours';
import { Words } from '@/ui/Words';

/** What stands in one vessel, in cups. */
export interface VesselContent {
  readonly acidCups: number;
  readonly waterCups: number;
}

interface VesselsProps {
  tested: VesselContent;
  asked: VesselContent;
  /** "vinegar", "lemon juice". */
  acid: string;
}

const WIDTH_PX = 104;
const GAP_PX = 46;
const MOST_PX = 190;

/** Two vessels of one width on one scale: acid below, water above, a tick each cup; the tested acid level runs across. */
export function Vessels({ tested, asked, acid }: VesselsProps) {
  const id = useId().replaceAll(':', '');
  const most = Math.max(tested.acidCups + tested.waterCups, asked.acidCups + asked.waterCups, 1);
  const pxPerCup = Math.min(26, MOST_PX / most);
  const height = most * pxPerCup + 26;
  const left = 4;
  const second = left + WIDTH_PX + GAP_PX;
  const level = height - tested.acidCups * pxPerCup;
  const askedLevel = height - asked.acidCups * pxPerCup;
  const differs = Math.abs(level - askedLevel) > 1;
  const said = ({ acidCups, waterCups }: VesselContent) =>
    `${printFraction(acidCups)} cups ${acid}, ${printFraction(waterCups)} cups water`;
  return (
    <View role="img" aria-label={`Tested: ${said(tested)}. Asked: ${said(asked)}.`}>
      <View className="flex-row">
        <Words weight={700} style={{ width: WIDTH_PX + GAP_PX }}>
          Tested, in cups
        </Words>
        <Words weight={700}>Asked, in cups</Words>
      </View>
      <Svg width={second + WIDTH_PX + 30} height={height + 6}>
        <Defs>
          <Pattern id={id} width={8} height={8} patternUnits="userSpaceOnUse">
            <Rect width={8} height={8} fill={COLOURS.acid} />
            <Circle cx={2} cy={2} r={1.2} fill={COLOURS.ink} fillOpacity={0.55} />
            <Circle cx={6} cy={6} r={1.2} fill={COLOURS.ink} fillOpacity={0.55} />
          </Pattern>
        </Defs>
        <Vessel x={left} height={height} pxPerCup={pxPerCup} content={tested} pattern={id} />
        <Vessel x={second} height={height} pxPerCup={pxPerCup} content={asked} pattern={id} />
        {differs && (
          <>
            <Line
              x1={left + WIDTH_PX}
              x2={second + WIDTH_PX}
              y1={level}
              y2={level}
              stroke={COLOURS.cobalt}
              strokeWidth={2.4}
              strokeDasharray="7 5"
            />
            <Path
              d={`M${second + WIDTH_PX + 8} ${level}h14m-7 0V${askedLevel}m-7 0h14`}
              stroke={COLOURS.cobalt}
              strokeWidth={3}
              fill="none"
            />
          </>
        )}
      </Svg>
      <View className="flex-row">
        <Words size="label" tone="ink-2" style={{ width: WIDTH_PX + GAP_PX }}>
          {printFraction(tested.acidCups)} {acid}, {printFraction(tested.waterCups)} water
        </Words>
        <Words size="label" tone="ink-2" className="flex-1">
          {printFraction(asked.acidCups)} {acid}, {printFraction(asked.waterCups)} water
        </Words>
      </View>
    </View>
  );
}

interface VesselProps {
  x: number;
  height: number;
  pxPerCup: number;
  content: VesselContent;
  pattern: string;
}

function Vessel({ x, height, pxPerCup, content: { acidCups, waterCups }, pattern }: VesselProps) {
  const acidPx = acidCups * pxPerCup;
  const waterPx = waterCups * pxPerCup;
  const top = height - acidPx - waterPx;
  const ticks = Math.floor(height / pxPerCup);
  return (
    <>
      <Rect x={x} y={top} width={WIDTH_PX} height={waterPx} fill={COLOURS.water} />
      {waterPx > 0 && (
        <Path
          d={`M${x} ${top}${'q6.500-5 13 0t13 0'.repeat(Math.floor(WIDTH_PX / 26))}`}
          stroke={COLOURS.waterLine}
          strokeWidth={2}
          fill="none"
        />
      )}
      <Rect x={x} y={height - acidPx} width={WIDTH_PX} height={acidPx} fill={`url(#${pattern})`} />
      <Line x1={x} x2={x + WIDTH_PX} y1={height - acidPx} y2={height - acidPx} stroke={COLOURS.ink} strokeWidth={1.6} />
      {Array.from({ length: ticks }, (_, i) => (
        <Line
          key={i}
          x1={x}
          x2={x + 9}
          y1={height - (i + 1) * pxPerCup}
          y2={height - (i + 1) * pxPerCup}
          stroke={COLOURS.ink}
          strokeWidth={1.4}
        />
      ))}
      <Path
        d={`M${x} 6V${height - 6}Q${x} ${height} ${x + 6} ${height}H${x + WIDTH_PX - 6}Q${x + WIDTH_PX} ${height} ${x + WIDTH_PX} ${height - 6}V6`}
        stroke={COLOURS.ink}
        strokeWidth={2.6}
        fill="none"
      />
    </>
  );
}
