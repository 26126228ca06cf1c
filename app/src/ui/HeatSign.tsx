import { type LoadPhase } from '@hoddle/core/kitchen/loadState';
import Svg, { Circle, Path, Rect } from 'react-native-svg';
import { COLOURS } from './colours';

type Sign = LoadPhase | 'lost' | 'alarm';

/** Each state of heat has its own silhouette: ring, chevrons, bubbles, bars, a falling triangle, a tick. */
export function HeatSign({ phase, size, dark }: { phase: Sign; size: number; dark?: boolean }) {
  const ink = dark ? COLOURS.milk : COLOURS.ink;
  const heat = dark ? COLOURS.heatDark : COLOURS.heat;
  return (
    <Svg width={size} height={size} viewBox="0 0 24 24" aria-hidden>
      {phase === 'planned' && (
        <>
          <Circle cx={12} cy={12} r={9.5} fill="none" stroke={ink} strokeWidth={2.4} />
          <Path d="M7 12h10" stroke={ink} strokeWidth={2.4} strokeLinecap="round" />
        </>
      )}
      {phase === 'heating' && (
        <>
          <Circle cx={12} cy={12} r={10} fill="none" stroke={heat} strokeWidth={2.4} />
          <Path
            d="M7 12l5-5 5 5M7 17.500l5-5 5 5"
            fill="none"
            stroke={heat}
            strokeWidth={2.6}
            strokeLinecap="round"
            strokeLinejoin="round"
          />
        </>
      )}
      {phase === 'venting' && (
        <>
          <Path d="M3 16v5h18v-5" fill="none" stroke={heat} strokeWidth={2.4} strokeLinejoin="round" />
          <Path
            d="M8 14c-3-3 3-5 0-8.500M12 12c-3-3 3-6 0-10M16 14c-3-3 3-5 0-8.500"
            fill="none"
            stroke={heat}
            strokeWidth={2.2}
            strokeLinecap="round"
          />
        </>
      )}
      {phase === 'boiling' && (
        <>
          <Circle cx={12} cy={12} r={11} fill={COLOURS.boil} />
          <Circle cx={8.5} cy={14.5} r={2.6} fill={COLOURS.white} />
          <Circle cx={15.5} cy={15} r={2.2} fill={COLOURS.white} />
          <Circle cx={12.5} cy={8.5} r={2.2} fill={COLOURS.white} />
        </>
      )}
      {phase === 'resting' && (
        <>
          <Rect x={2} y={2} width={20} height={20} rx={2} fill={dark ? COLOURS.restDark : COLOURS.rest} />
          <Path d="M9 7v10M15 7v10" stroke={COLOURS.white} strokeWidth={3} />
        </>
      )}
      {phase === 'cooling' && (
        <Path d="M2 4h20L12 21Z" fill={COLOURS.cool} stroke={COLOURS.coolLine} strokeWidth={2} strokeLinejoin="round" />
      )}
      {phase === 'lost' && (
        <>
          <Path
            d="M4 8a9.500 9.500 0 0 1 16 0M4 16a9.500 9.500 0 0 0 16 0"
            fill="none"
            stroke={ink}
            strokeWidth={2.4}
            strokeLinecap="round"
          />
          <Path
            d="M1.500 12h5l2.500-4 4 8 2.500-4h7"
            fill="none"
            stroke={ink}
            strokeWidth={2.2}
            strokeLinejoin="round"
            strokeLinecap="round"
          />
        </>
      )}
      {phase === 'alarm' && (
        <Path
          d="M6 17V11a6 6 0 0 1 12 0v6l2 2H4ZM10 21.500h4M2.500 9a9 9 0 0 1 2.500-5M21.500 9A9 9 0 0 0 19 4"
          fill={ink}
          stroke={ink}
          strokeWidth={1.8}
          strokeLinecap="round"
          strokeLinejoin="round"
        />
      )}
      {phase === 'checked' && (
        <Path
          d="M4 12.500l5.500 5.500L20 6.500"
          fill="none"
          stroke={ink}
          strokeWidth={3}
          strokeLinecap="round"
          strokeLinejoin="round"
        />
      )}
    </Svg>
  );
}
