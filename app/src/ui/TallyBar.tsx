import { type ProduceId } from '@hoddle/core/handbook/produce';
import { useId, useState } from 'react';
import { View } from 'react-native';
import Svg, { Defs, Line, Rect } from 'react-native-svg';
import { COLOURS, hueOfCrop } from './colours';
import { HatchPattern } from './patterns';

interface TallyBarProps {
  crop: ProduceId;
  cameInKg: number;
  inJarsKg: number;
  /** On hand and frozen. */
  heldKg: number;
  lostKg: number;
  /** The longest bar of the list: all are drawn to one scale. */
  mostKg: number;
}

const HEIGHT_PX = 18;

/** A season's produce to the pound: in jars solid, still here hatched, gone in other ways open, lost struck through. */
export function TallyBar({ crop, cameInKg, inJarsKg, heldKg, lostKg, mostKg }: TallyBarProps) {
  const id = useId().replaceAll(':', '');
  const [width, setWidth] = useState(326);
  const { hue } = hueOfCrop(crop);
  const px = (kg: number) => (kg / mostKg) * (width - 2);
  const lostFrom = px(cameInKg - lostKg);
  return (
    <View onLayout={(event) => setWidth(event.nativeEvent.layout.width)}>
      <Svg width={width} height={HEIGHT_PX} aria-hidden>
        <Defs>
          <HatchPattern id={id} hue={hue} />
        </Defs>
        <Rect
          x={1}
          y={2}
          width={px(cameInKg)}
          height={HEIGHT_PX - 4}
          fill={COLOURS.plate}
          stroke={hue}
          strokeWidth={1.4}
        />
        <Rect x={1} y={2} width={px(inJarsKg)} height={HEIGHT_PX - 4} fill={hue} />
        <Rect x={1 + px(inJarsKg)} y={2} width={px(heldKg)} height={HEIGHT_PX - 4} fill={`url(#${id})`} />
        {lostKg > 0.02 && (
          <Line
            x1={1 + lostFrom}
            y1={HEIGHT_PX / 2}
            x2={1 + px(cameInKg)}
            y2={HEIGHT_PX / 2}
            stroke={COLOURS.ink}
            strokeWidth={2.4}
          />
        )}
      </Svg>
    </View>
  );
}
