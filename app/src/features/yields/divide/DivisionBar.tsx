import { useId, useRef, useState } from 'react';
import { type GestureResponderEvent, View } from 'react-native';
import Svg, { Circle, Defs, Rect, Text } from 'react-native-svg';
import { COLOURS } from '@/ui/colours';
import { HatchPattern } from '@/ui/patterns';

const HEIGHT_PX = 44;
const HANDLE_PX = 48;
/** So that the last border can be grasped whole. */
const INSET_PX = HANDLE_PX / 2;
const MIN_LABEL_PX = 22;

interface DivisionBarProps {
  hue: string;
  totalKg: number;
  parts: readonly { readonly name: string; readonly massKg: number }[];
  mass: (massKg: number) => string;
  /** One press of an arrow key, in kilograms. */
  stepKg: number;
  onMove: (at: number, byKg: number) => void;
}

/** The lot as a bar, each product a part of it with its number, what is left hatched. Borders are dragged, or moved by arrow keys. */
export function DivisionBar({ hue, totalKg, parts, mass, stepKg, onMove }: DivisionBarProps) {
  const id = useId().replaceAll(':', '');
  const [width, setWidth] = useState(326);
  const perKg = totalKg > 0 ? (width - HANDLE_PX) / totalKg : 0;
  const ends = parts.map((_, i) => parts.slice(0, i + 1).reduce((sum, { massKg }) => sum + massKg, 0));
  return (
    <View onLayout={(event) => setWidth(event.nativeEvent.layout.width)} style={{ height: HEIGHT_PX }}>
      <Svg width={width} height={HEIGHT_PX} aria-hidden>
        <Defs>
          <HatchPattern id={id} hue={hue} />
        </Defs>
        <Rect
          x={INSET_PX}
          y={2}
          width={Math.max(0, width - HANDLE_PX)}
          height={HEIGHT_PX - 4}
          fill={`url(#${id})`}
          stroke={hue}
        />
        {parts.map(({ name, massKg }, i) => {
          const x = INSET_PX + ((ends[i] ?? 0) - massKg) * perKg;
          const wide = massKg * perKg;
          return [
            <Rect key={`${name} ${i}`} x={x} y={2} width={wide} height={HEIGHT_PX - 4} fill={hue} />,
            wide > MIN_LABEL_PX && (
              <Circle key={`dot ${i}`} cx={x + wide / 2} cy={HEIGHT_PX / 2} r={10} fill={COLOURS.plate} />
            ),
            wide > MIN_LABEL_PX && (
              <Text
                key={`number ${i}`}
                x={x + wide / 2}
                y={HEIGHT_PX / 2 + 5}
                fontSize={14}
                fontWeight="700"
                textAnchor="middle"
                fill={COLOURS.ink}
              >
                {i + 1}
              </Text>
            ),
            <Rect key={`edge ${i}`} x={x + wide - 1.5} y={0} width={3} height={HEIGHT_PX} fill={COLOURS.plate} />,
          ];
        })}
      </Svg>
      {parts.map(({ name, massKg }, i) => (
        <Handle
          key={`${name} ${i}`}
          label={`Part ${i + 1}, ${name}: ${mass(massKg)}`}
          value={massKg}
          most={totalKg}
          text={mass(massKg)}
          leftPx={(ends[i] ?? 0) * perKg}
          onDrag={(px) => perKg > 0 && onMove(i, px / perKg)}
          onKey={(by) => onMove(i, by * stepKg)}
        />
      ))}
    </View>
  );
}

interface HandleProps {
  label: string;
  value: number;
  most: number;
  text: string;
  leftPx: number;
  onDrag: (byPx: number) => void;
  onKey: (by: number) => void;
}

/** The border of a part: a thumb drags it, arrow keys move it. */
function Handle({ label, value, most, text, leftPx, onDrag, onKey }: HandleProps) {
  const at = useRef(0);
  const grab = (event: GestureResponderEvent) => {
    at.current = event.nativeEvent.pageX;
  };
  const drag = (event: GestureResponderEvent) => {
    const { pageX } = event.nativeEvent;
    onDrag(pageX - at.current);
    at.current = pageX;
  };
  const keys = {
    onKeyDown: (event: { key: string; preventDefault: () => void }) => {
      const by = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1, PageUp: 5, PageDown: -5 }[event.key];
      if (by === undefined) return;
      event.preventDefault();
      onKey(by);
    },
  };
  return (
    <View
      onStartShouldSetResponder={() => true}
      onMoveShouldSetResponder={() => true}
      onResponderTerminationRequest={() => false}
      onResponderGrant={grab}
      onResponderMove={drag}
      {...(keys as object)}
      role="slider"
      aria-label={label}
      aria-valuemin={0}
      aria-valuemax={Math.round(most * 10) / 10}
      aria-valuenow={Math.round(value * 10) / 10}
      aria-valuetext={text}
      tabIndex={0}
      className="absolute items-center justify-center"
      style={{ left: leftPx, top: -2, width: HANDLE_PX, height: HANDLE_PX, touchAction: 'none' } as object}
    >
      <View className="h-[40px] w-[14px] rounded-chip border-[3px] border-ink bg-plate" />
    </View>
  );
}
