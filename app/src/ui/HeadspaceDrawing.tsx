import { JARS, type JarSize } from '@hoddle/core/handbook/jars';
import { useId } from 'react';
import { View } from 'react-native';
import Svg, { ClipPath, Defs, G, Line, Path, Rect, Text } from 'react-native-svg';
import { headspaceWords, type Units } from './amountWords';
import { COLOURS, type Mark } from './colours';
import { MarkPattern } from './patterns';
import { Words } from './Words';

interface HeadspaceDrawingProps {
  size: JarSize;
  headspaceIn: number;
  hue: string;
  mark: Mark;
  units: Units;
}

/** One scale for every jar: the neck is seen as large as a thumb would need it. */
const PX_PER_IN = 40;
/** How much of the jar is shown from the rim down, in inches. */
const SHOWN_IN = 2.1;
const TICK_EVERY_IN = 1 / 4;
const RULER_PX = 48;

/** The top of the jar, lid off, true to scale: rim, headspace with its measure, and the food below. */
export function HeadspaceDrawing({ size, headspaceIn, hue, mark, units }: HeadspaceDrawingProps) {
  const id = useId().replaceAll(':', '');
  const { maxDiameterIn, mouth } = JARS[size];
  const bodyPx = maxDiameterIn * PX_PER_IN;
  // A regular mouth is 2 3/8 in inside, a wide one 3 in. Common practice sizes.
  const neckPx = Math.min((mouth === 'wide' ? 3 : 2.375) * PX_PER_IN, bodyPx - 6);
  const left = RULER_PX;
  const [neckLeft, neckRight] = [left + (bodyPx - neckPx) / 2, left + (bodyPx + neckPx) / 2];
  const right = left + bodyPx;
  const bottom = SHOWN_IN * PX_PER_IN;
  const fillY = headspaceIn * PX_PER_IN;
  const glass = `M${neckLeft} 2V26C${neckLeft} 40 ${left} 40 ${left} 58V${bottom}H${right}V58C${right} 40 ${neckRight} 40 ${neckRight} 26V2`;
  const ticks = Array.from({ length: Math.floor(SHOWN_IN / TICK_EVERY_IN) + 1 }, (_, i) => i * TICK_EVERY_IN);
  return (
    <View role="img" aria-label={`Headspace ${headspaceWords(headspaceIn, units)}, from the rim down to the food`}>
      <Words size="head" weight={800}>
        {headspaceWords(headspaceIn, units)}
      </Words>
      <Words tone="ink-2">headspace</Words>
      <Svg width={right + 10} height={bottom + 4} aria-hidden>
        <Defs>
          <MarkPattern id={id} mark={mark} />
          <ClipPath id={`${id}-glass`}>
            <Path d={`${glass}Z`} />
          </ClipPath>
        </Defs>
        <Path d={glass} fill={COLOURS.plate} />
        <G clipPath={`url(#${id}-glass)`}>
          <Rect x={left} y={fillY} width={bodyPx} height={bottom - fillY} fill={hue} />
          <Rect x={left} y={fillY} width={bodyPx} height={bottom - fillY} fill={`url(#${id})`} />
        </G>
        <Path d={glass} fill="none" stroke={COLOURS.ink} strokeWidth={2.2} strokeLinejoin="round" />
        <Rect x={neckLeft - 3} y={0.5} width={neckRight - neckLeft + 6} height={3.4} rx={1.6} fill={COLOURS.ink} />
        {ticks.map((inches) => (
          <Line
            key={inches}
            x1={0}
            x2={Number.isInteger(inches) ? 16 : 9}
            y1={2 + inches * PX_PER_IN}
            y2={2 + inches * PX_PER_IN}
            stroke={COLOURS.edge}
            strokeWidth={1.6}
          />
        ))}
        <Text x={20} y={6 + PX_PER_IN} fontFamily="Atkinson600" fontSize={12} fill={COLOURS.ink2}>
          1 in
        </Text>
        <Path
          d={`M${neckLeft + neckPx / 2 - 9} 4H${neckLeft + neckPx / 2 + 9}M${neckLeft + neckPx / 2} 4V${fillY}M${neckLeft + neckPx / 2 - 9} ${fillY}H${neckLeft + neckPx / 2 + 9}`}
          stroke={COLOURS.cobalt}
          strokeWidth={3}
        />
      </Svg>
    </View>
  );
}
