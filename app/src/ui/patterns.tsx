import { type ReactElement } from 'react';
import { Circle, Path, Pattern, Rect } from 'react-native-svg';
import { type Mark } from './colours';

/** 45-degree lines: planned, expected, left over. */
export function HatchPattern({ id, hue }: { id: string; hue: string }) {
  return (
    <Pattern id={id} width={5} height={5} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
      <Rect width={2} height={5} fill={hue} fillOpacity={0.55} />
    </Pattern>
  );
}

const MARKS: Readonly<Record<Mark, { width: number; height: number; drawing: ReactElement }>> = {
  waves: {
    width: 9,
    height: 8,
    drawing: <Path d="M1 5q2-3 4-1t3-1" stroke="#fff" strokeOpacity={0.42} strokeWidth={1.2} fill="none" />,
  },
  strokes: {
    width: 4.4,
    height: 10,
    drawing: <Path d="M2.2 0V10" stroke="#fff" strokeOpacity={0.45} strokeWidth={1.1} />,
  },
  rings: {
    width: 8,
    height: 8,
    drawing: <Circle cx={4} cy={4} r={2.4} fill="none" stroke="#fff" strokeOpacity={0.5} strokeWidth={1} />,
  },
  dots: { width: 6, height: 6, drawing: <Circle cx={3} cy={3} r={0.9} fill="#fff" fillOpacity={0.6} /> },
  slashes: { width: 6, height: 6, drawing: <Path d="M1 5L5 1" stroke="#fff" strokeOpacity={0.6} strokeWidth={1.3} /> },
  arcs: {
    width: 8,
    height: 5,
    drawing: <Path d="M0 4q4-4 8 0" stroke="#fff" strokeOpacity={0.4} strokeWidth={1.1} fill="none" />,
  },
};

/** The white mark on a jar's content. */
export function MarkPattern({ id, mark }: { id: string; mark: Mark }) {
  const { width, height, drawing } = MARKS[mark];
  return (
    <Pattern id={id} width={width} height={height} patternUnits="userSpaceOnUse">
      {drawing}
    </Pattern>
  );
}
