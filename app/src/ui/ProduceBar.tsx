import { View } from 'react-native';
import Svg, { Defs, Line, Rect } from 'react-native-svg';
import { useId, useState } from 'react';
import { useMassWords } from '@/store/useUnits';
import { COLOURS } from './colours';
import { HatchPattern } from './patterns';
import { Words } from './Words';

interface ProduceBarProps {
  hue: string;
  softKg: number;
  usedKg: number;
  totalKg: number;
}

const HEIGHT_PX = 26;

/** Produce, true to the pound: soft first with a dashed core, used solid, what is left hatched. */
export function ProduceBar({ hue, softKg, usedKg, totalKg }: ProduceBarProps) {
  const id = useId().replaceAll(':', '');
  const mass = useMassWords();
  const [width, setWidth] = useState(326);
  const px = (kg: number) => (kg / totalKg) * (width - 2);
  const leftKg = Math.max(0, totalKg - usedKg);
  const softPx = px(Math.min(softKg, usedKg));
  return (
    <View onLayout={(event) => setWidth(event.nativeEvent.layout.width)}>
      <View className="flex-row justify-between">
        {softKg > 0.01 ? (
          <Words>
            <Words weight={700}>{mass(softKg)}</Words> soft goes first
          </Words>
        ) : (
          <Words>
            <Words weight={700}>{mass(usedKg)}</Words> used
          </Words>
        )}
        {leftKg > 0.05 && (
          <Words>
            <Words weight={700}>{mass(leftKg)}</Words> left
          </Words>
        )}
      </View>
      <Svg width={width} height={HEIGHT_PX} aria-hidden>
        <Defs>
          <HatchPattern id={id} hue={hue} />
        </Defs>
        <Rect x={1} y={2} width={px(usedKg)} height={HEIGHT_PX - 4} fill={hue} />
        <Rect
          x={1 + px(usedKg)}
          y={2}
          width={px(leftKg)}
          height={HEIGHT_PX - 4}
          fill={`url(#${id})`}
          stroke={hue}
          strokeWidth={1.4}
        />
        {softPx > 8 && (
          <>
            <Line
              x1={6}
              y1={HEIGHT_PX / 2}
              x2={softPx - 5}
              y2={HEIGHT_PX / 2}
              stroke={COLOURS.white}
              strokeWidth={3}
              strokeDasharray="6 5"
            />
            <Line x1={softPx + 1} y1={2} x2={softPx + 1} y2={HEIGHT_PX - 2} stroke={COLOURS.plate} strokeWidth={3} />
          </>
        )}
      </Svg>
    </View>
  );
}
