import { type Lot } from '@hoddle/core/harvest/onHand';
import { productsOfLeft } from '@hoddle/core/yields/byProducts';
import { productRow } from '@hoddle/core/handbook/products';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { Key } from '@/ui/Key';
import { Words } from '@/ui/Words';
import { lotKey } from '@/household/harvest/useOnHand';

/** What something left behind may become: a tested product where there is one, else a recipe of the household's own. */
export function LeftMakes({ lot }: { lot: Lot }) {
  const router = useRouter();
  const products = lot.of ? productsOfLeft(lot.of.kind, lot.crop) : [];
  if (products.length > 0) {
    return (
      <View className="gap-2">
        {products.map((product) => (
          <Key
            key={product}
            tall
            words={`Make ${productRow(product).name.toLowerCase()}`}
            onPress={() =>
              router.navigate({
                pathname: '/plan/make',
                params: { crop: lot.crop, product, jar: 'half-pint', lots: lotKey(lot) },
              })
            }
          />
        ))}
      </View>
    );
  }
  return (
    <View className="gap-2">
      <Words>No published card begins with this. A recipe of your own may: with a tested page, or kept cold.</Words>
      <Key look="outline" words="Recipes of your own" onPress={() => router.navigate('/bench/recipes')} />
    </View>
  );
}
