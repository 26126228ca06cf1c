import TriangleAlert from 'lucide-react-native/icons/triangle-alert';
import { View } from 'react-native';
import { COLOURS } from './colours';
import { Words } from './Words';

/** A slip of a key: told in a sentence, what was typed stays. */
export function Slip({ sentence }: { sentence: string }) {
  return (
    <View role="alert" className="flex-row items-center gap-2">
      <TriangleAlert size={24} color={COLOURS.ink} strokeWidth={2.2} />
      <Words weight={700} className="flex-1">
        {sentence}
      </Words>
    </View>
  );
}
