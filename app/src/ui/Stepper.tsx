import Minus from 'lucide-react-native/icons/minus';
import Plus from 'lucide-react-native/icons/plus';
import { Pressable, View } from 'react-native';
import { COLOURS } from './colours';
import { Words } from './Words';

interface StepperProps {
  label: string;
  /** What stands between the two keys: "3 loads". Without it the keys stand alone. */
  words?: string;
  onLess?: () => void;
  onMore?: () => void;
}

/** One less, one more. A key that cannot be used is grey and says so. */
export function Stepper({ label, words, onLess, onMore }: StepperProps) {
  return (
    <View
      role="group"
      aria-label={label}
      className="h-[52px] flex-row items-stretch rounded-key border-2 border-cobalt"
    >
      <StepKey label={`${label}: one less`} onPress={onLess} Icon={Minus} narrow={words === undefined} />
      {words === undefined ? (
        <View className="w-[2px] bg-cobalt" />
      ) : (
        <View className="flex-1 items-center justify-center">
          <Words size="lead" weight={700} aria-live="polite" className="text-center">
            {words}
          </Words>
        </View>
      )}
      <StepKey label={`${label}: one more`} onPress={onMore} Icon={Plus} narrow={words === undefined} />
    </View>
  );
}

/** One of the two keys beside what is counted. */
export function StepKey({
  label,
  onPress,
  Icon,
  narrow,
}: {
  label: string;
  onPress?: () => void;
  Icon: typeof Plus;
  narrow?: boolean;
}) {
  return (
    <Pressable
      role="button"
      aria-label={label}
      aria-disabled={!onPress}
      disabled={!onPress}
      onPress={onPress}
      className={narrow ? 'min-w-[48px] flex-1 items-center justify-center' : 'w-[56px] items-center justify-center'}
    >
      <Icon size={24} strokeWidth={3} color={onPress ? COLOURS.cobalt : COLOURS.edge} />
    </Pressable>
  );
}
