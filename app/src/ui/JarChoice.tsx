import { type JarSize, JARS } from '@hoddle/core/handbook/jars';
import { Pressable, View } from 'react-native';
import { type Mark } from './colours';
import { JarDrawing } from './JarDrawing';
import { Words } from './Words';

const SHORT: Readonly<Record<JarSize, string>> = {
  'quarter-pint': '4 oz',
  'half-pint': '8 oz',
  'twelve-ounce': '12 oz',
  pint: 'pint',
  'pint-and-half': '24 oz',
  quart: 'quart',
  'half-gallon': '64 oz',
};

interface JarChoiceProps {
  sizes: readonly JarSize[];
  value: JarSize;
  onChoose: (size: JarSize) => void;
  colours: { hue: string; mark: Mark };
  /** Whether this jar has a tested time with what else is chosen; the others are drawn dashed. */
  isTested: (size: JarSize) => boolean;
}

/** All jars side by side on one scale; dashed where nothing is tested. */
export function JarChoice({ sizes, value, onChoose, colours, isTested }: JarChoiceProps) {
  return (
    <View role="radiogroup" aria-label="Jar" className="flex-row rounded-key border-2 border-key-edge">
      {sizes.map((size) => {
        const chosen = size === value;
        const tested = isTested(size);
        return (
          <Pressable
            key={size}
            role="radio"
            aria-checked={chosen}
            aria-label={`${JARS[size].several}${tested ? '' : ', not tested'}`}
            onPress={() => onChoose(size)}
            className={`h-[84px] flex-1 items-center justify-end rounded-key pb-1 ${chosen ? 'bg-plate' : ''}`}
            style={chosen ? { boxShadow: '0 0 0 3px #1D3F8F' } : undefined}
          >
            <JarDrawing size={size} quartPx={38} look={tested ? 'planned' : 'gap'} {...colours} />
            <Words size="small" weight={chosen ? 700 : 500}>
              {SHORT[size]}
            </Words>
          </Pressable>
        );
      })}
    </View>
  );
}
