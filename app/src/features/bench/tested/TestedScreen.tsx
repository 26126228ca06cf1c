import { isJarSize } from '@hoddle/core/handbook/jars';
import { findProduct } from '@hoddle/core/handbook/products';
import { View } from 'react-native';
import { Screen } from '@/ui/Screen';
import { useIsWide } from '@/ui/StationBar';
import { Words } from '@/ui/Words';
import { ProductDetail } from './ProductDetail';
import { TestedSearch } from './TestedSearch';
import { useSearchStore } from './searchStore';

interface TestedScreenProps {
  /** Of the address; undefined shows the list alone. */
  product?: string;
  jar?: string;
}

/** What's tested: find a product by any name, then its time, headspace, acid, source and conditions. Wide: side by side. */
export function TestedScreen({ product, jar }: TestedScreenProps) {
  const wide = useIsWide();
  const typed = useSearchStore((store) => store.typed);
  const setTyped = useSearchStore((store) => store.type);
  const row = product === undefined ? undefined : findProduct(product);
  const size = jar !== undefined && isJarSize(jar) ? jar : undefined;
  const detail = row && <ProductDetail key={`${row.product} ${size}`} product={row} jar={size} />;
  if (!wide && product !== undefined) {
    return (
      <Screen
        station="bench"
        title={row?.name ?? 'No such product'}
        note={row?.otherNames.join(', ')}
        backTo="/bench/tested"
      >
        {detail ?? <Words>The handbook does not have it. Look for it by another name.</Words>}
      </Screen>
    );
  }
  return (
    <Screen station="bench" title="What’s tested" backTo="/bench">
      <View className={wide ? 'flex-row gap-10' : ''}>
        <View className={wide ? 'w-[420px]' : ''}>
          <TestedSearch typed={typed} onType={setTyped} chosen={row?.product} />
        </View>
        {wide && (
          <View className="flex-1 gap-3">
            {row && (
              <View>
                <Words size="title" weight={700} role="heading" aria-level={2}>
                  {row.name}
                </Words>
                <Words tone="ink-2">{row.otherNames.join(', ')}</Words>
              </View>
            )}
            {detail ?? <Words tone="ink-2">Choose a product to see its tested time.</Words>}
          </View>
        )}
      </View>
    </Screen>
  );
}
