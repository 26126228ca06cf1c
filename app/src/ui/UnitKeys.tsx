import { HARVEST_UNITS, type HarvestUnit } from '@hoddle/core/measure/amount';
import { Pressable, View } from 'react-native';
import Svg, { Circle, Path } from 'react-native-svg';
import { COLOURS } from './colours';
import { Words } from './Words';

const SHORT_WORDS: Readonly<Record<HarvestUnit, string>> = {
  lb: 'lb',
  kg: 'kg',
  bushel: 'bushel',
  'half-bushel': 'half bushel',
  peck: 'peck',
  'five-gallon-bucket': '5-gal bucket',
};

interface UnitKeysProps {
  /** None where another measure is meant. */
  unit: HarvestUnit | undefined;
  onChoose: (unit: HarvestUnit) => void;
}

/** The measures as things, the baskets on one scale: a peck is seen to be a quarter of a bushel. */
export function UnitKeys({ unit, onChoose }: UnitKeysProps) {
  return (
    <View role="radiogroup" aria-label="Measure" className="flex-row gap-[6px]">
      {HARVEST_UNITS.map((candidate) => {
        const chosen = candidate === unit;
        return (
          <Pressable
            key={candidate}
            role="radio"
            aria-checked={chosen}
            aria-label={SHORT_WORDS[candidate]}
            onPress={() => onChoose(candidate)}
            className={`h-[68px] flex-1 items-center justify-end rounded-key border-2 pb-1 ${chosen ? 'border-cobalt bg-cobalt' : 'border-key-edge'}`}
          >
            <View className="flex-1 items-center justify-end pb-[2px]">
              <MeasureDrawing unit={candidate} line={chosen ? COLOURS.white : COLOURS.ink} />
            </View>
            <Words
              size="small"
              weight={chosen ? 700 : 500}
              tone={chosen ? 'white' : 'ink'}
              className="text-center"
              style={{ lineHeight: 15, minHeight: 15 }}
            >
              {SHORT_WORDS[candidate]}
            </Words>
          </Pressable>
        );
      })}
    </View>
  );
}

function MeasureDrawing({ unit, line }: { unit: HarvestUnit; line: string }) {
  const stroke = {
    stroke: line,
    strokeWidth: 1.8,
    fill: 'none',
    strokeLinejoin: 'round',
    strokeLinecap: 'round',
  } as const;
  switch (unit) {
    case 'lb':
    case 'kg': {
      const scale = unit === 'kg' ? 1.15 : 0.9;
      return (
        <Svg width={26 * scale} height={28 * scale} viewBox="0 0 26 28" aria-hidden>
          <Circle cx={13} cy={5} r={3.6} {...stroke} />
          <Path d="M6.500 9h13l3.500 17h-20Z" {...stroke} />
        </Svg>
      );
    }
    case 'five-gallon-bucket':
      return (
        <Svg width={26} height={32} viewBox="0 0 26 32" aria-hidden>
          <Path d="M3 6h20l-1.500 24h-17ZM3 6Q13-3 23 6M3 10h20" {...stroke} />
        </Svg>
      );
    default: {
      const width = { bushel: 44, 'half-bushel': 35, peck: 28 }[unit];
      const height = width * 0.62;
      return (
        <Svg width={width} height={height} viewBox="0 0 44 27" aria-hidden>
          <Path d="M4 3h36l-4.500 23h-27ZM6 14h32M16 3l1.500 23M28 3l-1.500 23" {...stroke} />
          <Path d="M1.500 2.500h41" {...stroke} strokeWidth={3.4} />
        </Svg>
      );
    }
  }
}
