import { type Canner } from '@hoddle/core/canner/canner';
import { loadMap } from '@hoddle/core/canner/loadMap';
import { type JarSize } from '@hoddle/core/handbook/jars';
import { Fragment } from 'react';
import Svg, { Circle, ClipPath, Defs, G, Line, Path, Text as SvgText } from 'react-native-svg';
import { useHousehold } from '@/store/useHousehold';
import { COLOURS } from '@/ui/colours';

interface LoadMapProps {
  canner: Canner;
  jar: JarSize;
  jars: number;
  places: number;
  hue: string;
  pxPerIn: number;
  numbered?: boolean;
}

const RIM_PX = 6;
const WIRES = [-0.6, -0.2, 0.2, 0.6];

/** The canner from above, true to scale: jars as rings in the order they are set in, spacers dashed. */
export function LoadMapDrawing({ canner, jar, jars, places, hue, pxPerIn, numbered }: LoadMapProps) {
  const own = useHousehold().household.ownJars.find(({ size }) => size === jar);
  const radius = (canner.insideDiameterIn / 2) * pxPerIn;
  const size = 2 * (radius + RIM_PX + 2);
  const width = size + 24;
  const [cx, cy] = [width / 2, size / 2];
  return (
    <Svg width={width} height={size} role="img" aria-label={`${jars} of ${places} places of the rack are taken`}>
      {[-1, 1].map((side) => (
        <Path
          key={side}
          d={`M${cx + side * (radius + 1)} ${cy - 16}h${side * 9}v32h${-side * 9}`}
          fill="none"
          stroke={COLOURS.cobalt}
          strokeWidth={4}
          strokeLinejoin="round"
        />
      ))}
      <Circle
        cx={cx}
        cy={cy}
        r={radius + RIM_PX / 2}
        fill={COLOURS.water}
        stroke={COLOURS.cobalt}
        strokeWidth={RIM_PX}
      />
      <Circle cx={cx} cy={cy} r={radius - 1} fill="none" stroke={COLOURS.white} strokeWidth={1.4} />
      <Defs>
        <ClipPath id={`wires-${jars}-${places}-${pxPerIn}`}>
          <Circle cx={cx} cy={cy} r={radius - 4} />
        </ClipPath>
      </Defs>
      <G clipPath={`url(#wires-${jars}-${places}-${pxPerIn})`}>
        {WIRES.map((part) => (
          <Line
            key={part}
            x1={cx + part * radius}
            y1={cy - radius}
            x2={cx + part * radius}
            y2={cy + radius}
            stroke={COLOURS.hair}
            strokeWidth={2}
          />
        ))}
      </G>
      {loadMap(canner, jar, places, jars, own).map(({ x, y, radiusIn, spacer }, i) => {
        const at = { cx: cx + x * pxPerIn, cy: cy + y * pxPerIn };
        const r = radiusIn * pxPerIn;
        if (spacer)
          return (
            <Circle
              key={i}
              {...at}
              r={r - 1}
              fill={COLOURS.plate}
              stroke={COLOURS.ink}
              strokeWidth={1.6}
              strokeDasharray="4 3"
            />
          );
        return (
          <Fragment key={i}>
            <Circle {...at} r={r - 1} fill={hue} stroke={COLOURS.ink} strokeWidth={1.6} />
            <Circle {...at} r={r * 0.7} fill={COLOURS.plate} stroke={COLOURS.ink} strokeWidth={1.2} />
            {numbered && (
              <SvgText
                x={at.cx}
                y={at.cy + 5}
                fontSize={15}
                fontFamily="Atkinson700"
                fill={COLOURS.ink}
                textAnchor="middle"
              >
                {i + 1}
              </SvgText>
            )}
          </Fragment>
        );
      })}
    </Svg>
  );
}
