import Svg, { Circle, Path, Rect } from 'react-native-svg';
import { COLOURS } from './colours';

export type Station = 'today' | 'harvest' | 'plan' | 'shelf' | 'bench';

/** The five places of the house: a clock, a basket, a season with a day pinned on it, jars on a board, a scale. */
export function StationIcon({ station, on }: { station: Station; on: boolean }) {
  const line = on ? COLOURS.cobalt : COLOURS.ink2;
  const fill = on ? COLOURS.cobalt : 'none';
  const inner = on ? COLOURS.plate : line;
  const stroke = { stroke: line, strokeWidth: 2, strokeLinecap: 'round', strokeLinejoin: 'round' } as const;
  return (
    <Svg width={28} height={28} viewBox="0 0 26 26" aria-hidden>
      {station === 'today' && (
        <>
          <Circle cx={13} cy={13} r={10.5} fill={fill} {...stroke} />
          <Path d="M13 7.5V13l3.4 2.6" fill="none" {...stroke} stroke={inner} />
        </>
      )}
      {station === 'harvest' && (
        <>
          <Path d="M7 11C7 1.5 19 1.5 19 11" fill="none" {...stroke} />
          <Path d="M3 11h20l-2.6 12H5.6Z" fill={fill} {...stroke} />
          <Path d="M5 16.5h16M10 11l.8 12M16 11l-.8 12" fill="none" stroke={inner} strokeWidth={1.3} />
        </>
      )}
      {station === 'plan' && (
        <>
          <Path d="M2 23Q6 22 8 16t4 0q2 6 6 7" fill={fill} {...stroke} />
          <Path d="M2 23h22M20 23V10" fill="none" {...stroke} />
          <Circle cx={20} cy={6.5} r={4} fill={fill} {...stroke} />
        </>
      )}
      {station === 'shelf' && (
        <>
          <Path d="M5 8q0-1.5 1-2V3.5h5V6q1 .5 1 2v12H5Z" fill={fill} {...stroke} />
          <Path d="M15 12q0-1 .7-1.5V9h4.6v1.500q.7.5.7 1.5v8H15Z" fill={fill} {...stroke} />
          <Path d="M2 23.500h22" {...stroke} />
        </>
      )}
      {station === 'bench' && (
        <>
          <Path d="M4 4h18l-3 5H7Z" fill={fill} {...stroke} />
          <Path d="M8 9.500h10l2.500 13h-15Z" fill={fill} {...stroke} />
          <Circle cx={13} cy={16} r={3.4} fill={on ? COLOURS.plate : 'none'} {...stroke} strokeWidth={1.4} />
          <Path d="M13 16l1.500-1.800" {...stroke} strokeWidth={1.4} />
          <Rect x={3} y={22} width={20} height={1.6} fill={line} />
        </>
      )}
    </Svg>
  );
}
