import { JAR_SIZES, type JarSize, JARS } from '@hoddle/core/handbook/jars';
import { View } from 'react-native';
import { ChipRadio } from '@/ui/ChipRadio';

/** Which size of jar: all there are. */
export function JarChips({ jar, onJar }: { jar: JarSize; onJar: (jar: JarSize) => void }) {
  return (
    <View role="radiogroup" aria-label="Jar" className="flex-row flex-wrap gap-2">
      {JAR_SIZES.map((size) => (
        <ChipRadio key={size} words={JARS[size].several} chosen={size === jar} onPress={() => onJar(size)} />
      ))}
    </View>
  );
}
