import { type InstrumentsNow } from '@hoddle/contract/instrument';
import Svg, { Circle, Path, Rect } from 'react-native-svg';
import { COLOURS } from '@/ui/colours';

const LINE = {
  fill: 'none',
  stroke: COLOURS.ink,
  strokeWidth: 2.4,
  strokeLinecap: 'round',
  strokeLinejoin: 'round',
} as const;

/** The thing itself: a table scale, one that hangs, a probe on its cable, a gauge, a counter at a door. */
export function InstrumentDrawing({
  kind,
  size,
}: {
  kind: InstrumentsNow['instruments'][number]['kind'];
  size: number;
}) {
  return (
    <Svg width={size} height={size} viewBox="0 0 44 44" aria-hidden>
      {kind === 'kitchen-scale' && (
        <>
          <Path d="M6 14h32l-4 5H10Z" {...LINE} fill={COLOURS.plate} />
          <Path d="M22 19v4M11 38l3-15h16l3 15Z" {...LINE} fill={COLOURS.plate} />
          <Rect
            x={16}
            y={28}
            width={12}
            height={6}
            rx={1.5}
            fill={COLOURS.water}
            stroke={COLOURS.ink}
            strokeWidth={1.6}
          />
        </>
      )}
      {kind === 'hanging-scale' && (
        <>
          <Path d="M22 3v5" {...LINE} />
          <Circle cx={22} cy={17} r={9} {...LINE} fill={COLOURS.plate} />
          <Path d="M22 17l4-5M22 26v5M10 33h24l-3 8H13Z" {...LINE} />
        </>
      )}
      {kind === 'probe' && (
        <>
          <Path d="M8 6c10-3 16 4 10 10s2 8 6 8" {...LINE} stroke={COLOURS.cobalt} />
          <Path d="M24 24l14 14" {...LINE} strokeWidth={4} />
          <Path d="M24 24l10 10" {...LINE} stroke={COLOURS.plate} strokeWidth={1.6} />
        </>
      )}
      {kind === 'pressure-gauge' && (
        <>
          <Circle cx={22} cy={20} r={14} {...LINE} fill={COLOURS.plate} />
          <Path d="M22 20l7-6M18 34v7h8v-7" {...LINE} />
          <Path d="M12 25a11 11 0 0 1 3-13" {...LINE} strokeWidth={1.6} />
        </>
      )}
      {kind === 'jar-counter' && (
        <>
          <Path d="M6 41V5h16v36M22 9l14 4v24l-14 4" {...LINE} fill={COLOURS.plate} />
          <Path d="M28 22v6M12 18h4M12 24h4" {...LINE} />
        </>
      )}
    </Svg>
  );
}
