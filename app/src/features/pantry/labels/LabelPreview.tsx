import { type LabelsLayout } from '@hoddle/contract/labels';
import { type LabelSheet } from '@hoddle/core/formats/labels/labelSheet';
import Svg, { Circle, Path, Rect, Text } from 'react-native-svg';
import { COLOURS } from '@/ui/colours';

/** A millimetre on a screen, by the 96 pixels that CSS calls an inch. */
const PX_PER_MM = 96 / 25.4;

interface LabelPreviewProps {
  laid: LabelsLayout['labels'][number]['laid'];
  sheet: Pick<LabelSheet, 'shape' | 'widthMm' | 'heightMm'>;
  name: string;
  /** 1 is as large as on paper. */
  scale: number;
}

/** One label as it will be printed, every line where the printer puts it. */
export function LabelPreview({ laid, sheet, name, scale }: LabelPreviewProps) {
  const { widthMm, heightMm, shape } = sheet;
  return (
    <Svg
      role="img"
      aria-label={`Label: ${name}. ${laid.lines.map(({ words }) => words).join(', ')}`}
      width={widthMm * PX_PER_MM * scale}
      height={heightMm * PX_PER_MM * scale}
      viewBox={`0 0 ${widthMm} ${heightMm}`}
    >
      {shape === 'round' ? (
        <Circle
          cx={widthMm / 2}
          cy={widthMm / 2}
          r={widthMm / 2 - 0.2}
          fill={COLOURS.white}
          stroke={COLOURS.keyEdge}
          strokeWidth={0.3}
        />
      ) : (
        <Rect
          x={0.2}
          y={0.2}
          width={widthMm - 0.4}
          height={heightMm - 0.4}
          rx={1.6}
          fill={COLOURS.white}
          stroke={COLOURS.keyEdge}
          strokeWidth={0.3}
        />
      )}
      {laid.lines.map(({ words, weight, sizeMm, xMm, yMm, widthMm: wide }, i) => (
        <Text
          key={i}
          x={xMm}
          y={yMm}
          fontSize={sizeMm}
          textLength={wide}
          fontFamily={weight === 'bold' ? 'Atkinson700' : 'Atkinson400'}
          fill={COLOURS.ink}
        >
          {words}
        </Text>
      ))}
      {laid.code && <Path d={laid.code.path} fill={COLOURS.ink} />}
    </Svg>
  );
}
