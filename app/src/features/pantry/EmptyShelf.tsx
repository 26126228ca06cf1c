import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { hueOfProduct } from '@/ui/colours';
import { JarDrawing } from '@/ui/JarDrawing';
import { Key } from '@/ui/Key';
import { Words } from '@/ui/Words';

/** An empty board, and the two ways to begin: with a basket, or with the jars that stand there already. */
export function EmptyShelf() {
  const router = useRouter();
  return (
    <View>
      <View className="flex-row items-end gap-2 border-b-[4px] border-cobalt px-4 pt-6">
        {(['quart', 'quart', 'quart', 'pint', 'pint', 'pint'] as const).map((size, i) => (
          <JarDrawing key={i} size={size} quartPx={62} look="gap" {...hueOfProduct('tomatoes-crushed')} />
        ))}
      </View>
      <View className="gap-3 bg-plate p-4">
        <Words size="lead" weight={700}>
          The first jar stands here.
        </Words>
        <Words tone="ink-2">Write down a basket; Hoddle leads it to the shelf. Or begin with the jars you have.</Words>
        <Key words="What came in?" onPress={() => router.navigate('/harvest/pick')} />
        <Key look="outline" words="Jars from a file" onPress={() => router.navigate('/shelf/files')} />
        <Key look="outline" words="Write jars down" onPress={() => router.navigate('/shelf/add')} />
      </View>
    </View>
  );
}
