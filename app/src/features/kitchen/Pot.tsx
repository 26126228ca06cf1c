import { type ReactNode, useState } from 'react';
import { View } from 'react-native';
import Svg, { Circle, ClipPath, Defs, G, Path, Rect } from 'react-native-svg';
import { COLOURS } from '@/ui/colours';

interface PotProps {
  heightPx: number;
  rim: string;
  /** The vermilion level, 0 to 1: it falls with the minutes left. */
  level?: number;
  /** Time is up: milk with a band of slanted stripes. */
  alarm?: boolean;
  fill?: string;
  children: ReactNode;
}

const HANDLE_PX = 12;

/** The canner as the timer: its numerals stay put, the level falls. */
export function Pot({ heightPx, rim, level, alarm, fill = COLOURS.granitePanel, children }: PotProps) {
  const [width, setWidth] = useState(358);
  const [left, right] = [HANDLE_PX, width - HANDLE_PX];
  const [top, bottom] = [8, heightPx - 3];
  const body = `M${left} ${top}V${bottom - 26}Q${left} ${bottom} ${left + 26} ${bottom}H${right - 26}Q${right} ${bottom} ${right} ${bottom - 26}V${top}Z`;
  const levelY = bottom - (level ?? 0) * (bottom - top - 12);
  const waves = Math.ceil((right - left) / 28);
  const line = alarm ? COLOURS.milk : rim;
  return (
    <View style={{ height: heightPx }} onLayout={(event) => setWidth(event.nativeEvent.layout.width)}>
      <Svg width={width} height={heightPx} style={{ position: 'absolute' }} aria-hidden>
        <Defs>
          <ClipPath id="pot">
            <Path d={body} />
          </ClipPath>
        </Defs>
        {[left - 10, right].map((x) => (
          <Rect
            key={x}
            x={x}
            y={top + heightPx * 0.16}
            width={10}
            height={heightPx * 0.18}
            fill="none"
            stroke={line}
            strokeWidth={3}
          />
        ))}
        <Path d={body} fill={alarm ? COLOURS.milk : fill} />
        <G clipPath="url(#pot)">
          {level !== undefined && level > 0 && (
            <Path
              d={`M${left} ${levelY}${'q7 -9 14 0t14 0'.repeat(waves)}V${bottom}H${left}Z`}
              fill={COLOURS.boilDeep}
              stroke={COLOURS.boil}
              strokeWidth={6}
            />
          )}
          {level !== undefined &&
            [left + 22, right - 22].map((x, i) => (
              <G key={x} fill="none" stroke={COLOURS.milk} strokeWidth={2}>
                <Circle cx={x} cy={top + 58} r={5} />
                <Circle cx={x + (i === 0 ? 13 : -13)} cy={top + 42} r={3.6} />
              </G>
            ))}
          {alarm && <Path d={stripes(left, right, top, bottom)} stroke={COLOURS.ink} strokeWidth={11} />}
          {alarm && (
            <Rect
              x={left + 18}
              y={top + 18}
              width={right - left - 36}
              height={bottom - top - 36}
              rx={16}
              fill={COLOURS.milk}
            />
          )}
        </G>
        <Path d={body} fill="none" stroke={line} strokeWidth={3.4} strokeLinejoin="round" />
        <Path d={`M4 6H${width - 4}`} stroke={alarm ? COLOURS.milk : rim} strokeWidth={9} strokeLinecap="round" />
      </Svg>
      <View className="flex-1 items-center justify-center px-5 pt-2">{children}</View>
    </View>
  );
}

function stripes(left: number, right: number, top: number, bottom: number): string {
  const height = bottom - top;
  const count = Math.ceil((right - left + height) / 30);
  return Array.from({ length: count }, (_, i) => `M${left - height + i * 30} ${bottom}l${height} ${-height}`).join('');
}
