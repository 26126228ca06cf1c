import { type Method } from '@hoddle/core/process/method';
import { type ReactElement } from 'react';
import { Pressable, View } from 'react-native';
import Svg, { Circle, Path } from 'react-native-svg';
import { METHOD_NAMES } from './methodNames';
import { COLOURS } from '@/ui/colours';
import { Words } from '@/ui/Words';

interface MethodChoiceProps {
  methods: readonly Method[];
  value: Method;
  onChoose: (method: Method) => void;
  isTested: (method: Method) => boolean;
}

const LINE = {
  stroke: COLOURS.ink,
  strokeWidth: 2,
  fill: 'none',
  strokeLinecap: 'round',
  strokeLinejoin: 'round',
} as const;

/** Each canner as the thing it is: open water, a dome of steam, a dial, a weight, a thermometer. */
const DRAWINGS: Readonly<Record<Method, ReactElement>> = {
  'boiling-water': <Path d="M4 9V26Q4 28 6 28H26Q28 28 28 26V9M2 9H30M6 15q2.500-2.500 5 0t5 0t5 0t5 0" {...LINE} />,
  steam: <Path d="M4 20Q4 7 16 7Q28 7 28 20ZM2 20H30V28H2ZM24 8q3-2 1-6" {...LINE} />,
  'pressure-dial': (
    <>
      <Path d="M3 14H29V28H3ZM6 14Q6 11 9 11H23Q26 11 26 14" {...LINE} />
      <Circle cx={16} cy={6} r={5} {...LINE} />
      <Path d="M16 6l2-2.500" {...LINE} />
    </>
  ),
  'pressure-weighted': (
    <>
      <Path d="M3 14H29V28H3ZM6 14Q6 11 9 11H23Q26 11 26 14" {...LINE} />
      <Path d="M12 8H20V3H12Z" {...LINE} fill={COLOURS.ink} />
      <Path d="M16 11V8" {...LINE} />
    </>
  ),
  'low-temperature-bath': (
    <>
      <Path d="M4 12V26Q4 28 6 28H26Q28 28 28 26V12M2 12H30" {...LINE} />
      <Path d="M16 2V20" {...LINE} strokeWidth={4} />
      <Circle cx={16} cy={22} r={3.4} fill={COLOURS.ink} />
    </>
  ),
};

/** The ways of processing side by side; where nothing is tested the drawing is faint and the word says so. */
export function MethodChoice({ methods, value, onChoose, isTested }: MethodChoiceProps) {
  return (
    <View role="radiogroup" aria-label="Canner" className="flex-row rounded-key border-2 border-key-edge">
      {methods.map((method) => {
        const chosen = method === value;
        const tested = isTested(method);
        return (
          <Pressable
            key={method}
            role="radio"
            aria-checked={chosen}
            aria-label={`${METHOD_NAMES[method]}${tested ? '' : ', not tested'}`}
            onPress={() => onChoose(method)}
            className={`min-h-[92px] flex-1 items-center gap-1 rounded-key px-1 pt-2 ${chosen ? 'bg-plate' : ''}`}
            style={chosen ? { boxShadow: '0 0 0 3px #1D3F8F' } : undefined}
          >
            <View>
              <Svg width={32} height={30} viewBox="0 0 32 30" aria-hidden>
                {DRAWINGS[method]}
                {!tested && <Path d="M2 28L30 2" stroke={COLOURS.keyEdge} strokeWidth={3} strokeLinecap="round" />}
              </Svg>
            </View>
            <Words size="small" weight={chosen ? 700 : 500} className="text-center" style={{ lineHeight: 16 }}>
              {METHOD_NAMES[method]}
            </Words>
          </Pressable>
        );
      })}
    </View>
  );
}
