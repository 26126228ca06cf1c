import { View } from 'react-native';
import { Screen } from '@/ui/Screen';
import { type ProductPath } from '../tested/ProductLine';
import { useSearchStore } from '../tested/searchStore';
import { TestedSearch } from '../tested/TestedSearch';

/** For an instrument that begins with a tested product: which one? */
export function ChooseProduct({ title, leadsTo }: { title: string; leadsTo: ProductPath }) {
  const typed = useSearchStore((store) => store.typed);
  const type = useSearchStore((store) => store.type);
  return (
    <Screen station="bench" title={title} note="Which product?" backTo="/bench">
      <View className="max-w-[640px]">
        <TestedSearch typed={typed} onType={type} leadsTo={leadsTo} />
      </View>
    </Screen>
  );
}
