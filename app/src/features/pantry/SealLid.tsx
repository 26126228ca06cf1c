import { Pressable, View } from 'react-native';
import Svg, { Circle, Path } from 'react-native-svg';
import { COLOURS } from '@/ui/colours';
import { Words } from '@/ui/Words';

export type SealMark = 'press' | 'sealed' | 'unsealed';

const WORDS: Readonly<Record<SealMark, string>> = { press: 'press', sealed: 'sealed', unsealed: 'not sealed' };
const SIZE = 66;

/** A lid from above: to press, sealed, or lifted off its ring. A tap moves it on. */
export function SealLid({
  number,
  mark,
  hue,
  onPress,
}: {
  number: number;
  mark: SealMark;
  hue: string;
  onPress: () => void;
}) {
  return (
    <Pressable
      role="button"
      aria-label={`Jar ${number}: ${WORDS[mark]}`}
      onPress={onPress}
      className="w-1/4 items-center py-1"
    >
      <View className="absolute left-2 top-0">
        <Words size="small" weight={700} tone="ink-2">
          {number}
        </Words>
      </View>
      <LidDrawing mark={mark} hue={hue} size={SIZE} />
      <View className={`rounded-chip px-[5px] ${mark === 'unsealed' ? 'bg-ink' : ''}`}>
        <Words
          size="small"
          weight={mark === 'sealed' ? 400 : 700}
          tone={mark === 'unsealed' ? 'white' : mark === 'press' ? 'cobalt' : 'ink-2'}
        >
          {WORDS[mark]}
        </Words>
      </View>
    </Pressable>
  );
}

export function LidDrawing({ mark, hue, size }: { mark: SealMark; hue: string; size: number }) {
  return (
    <Svg width={size} height={size} viewBox="0 0 66 66" aria-hidden>
      <Circle cx={33} cy={34} r={29} fill={hue} stroke={COLOURS.ink} strokeWidth={2} />
      {mark !== 'unsealed' && (
        <Circle cx={33} cy={34} r={22} fill={COLOURS.plate} stroke={COLOURS.ink} strokeWidth={1.4} />
      )}
      {mark === 'press' && (
        <Circle cx={33} cy={34} r={10} fill="none" stroke={COLOURS.cobalt} strokeWidth={2} strokeDasharray="3 3" />
      )}
      {mark === 'sealed' && (
        <>
          <Circle cx={33} cy={34} r={14.5} fill="none" stroke={COLOURS.ink} strokeWidth={1.4} />
          <Path
            d="M26.500 34.500l4.500 4.500 8.500-9"
            fill="none"
            stroke={COLOURS.ink}
            strokeWidth={3}
            strokeLinecap="round"
            strokeLinejoin="round"
          />
        </>
      )}
      {mark === 'unsealed' && (
        <>
          <Circle cx={41} cy={26} r={24} fill={COLOURS.ink} stroke={COLOURS.plate} strokeWidth={2} />
          <Path
            d="M28 33h26M31 33Q41 9 51 33"
            fill="none"
            stroke={COLOURS.white}
            strokeWidth={2.6}
            strokeLinecap="round"
          />
        </>
      )}
    </Svg>
  );
}
