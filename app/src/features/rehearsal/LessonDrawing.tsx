import { type Lesson } from '@hoddle/core/rehearsal/lessons';
import { View } from 'react-native';
import { hueOfProduct } from '@/ui/colours';
import { JarDrawing } from '@/ui/JarDrawing';

/** One jar of each thing that is made in a lesson. */
export function LessonDrawing({ lesson: { batches } }: { lesson: Lesson }) {
  return (
    <View className="w-[64px] flex-row items-end justify-center" aria-hidden>
      {batches.map(({ product, jar }) => (
        <JarDrawing key={product} size={jar} {...hueOfProduct(product)} look="planned" quartPx={52} />
      ))}
    </View>
  );
}
