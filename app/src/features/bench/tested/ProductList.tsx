import { isOwnProduct } from '@hoddle/core/handbook/ownIds';
import { type ProductId, type ProductRow } from '@hoddle/core/handbook/products';
import { memo, useState } from 'react';
import { View } from 'react-native';
import { SmallKey } from '@/ui/SmallKey';
import { OwnProductLine } from './OwnProductLine';
import { ProductLine, type ProductPath } from './ProductLine';

/** A few screens of a phone; nobody scrolls further before typing a letter more. */
const FIRST = 20;

interface ProductListProps {
  found: readonly ProductRow[];
  chosen?: ProductId;
  leadsTo?: ProductPath;
}

/** The products found, the first of them at once and all of them by a key. */
export const ProductList = memo(function ProductList({ found, chosen, leadsTo }: ProductListProps) {
  const [all, setAll] = useState(false);
  const shown = all ? found : found.slice(0, FIRST);
  return (
    <>
      <View role="list" aria-label="Products">
        {shown.map((product) =>
          isOwnProduct(product.product) ? (
            <OwnProductLine key={product.product} product={product} leadsTo={leadsTo} />
          ) : (
            <ProductLine
              key={product.product}
              product={product}
              chosen={product.product === chosen}
              leadsTo={leadsTo}
            />
          ),
        )}
      </View>
      {shown.length < found.length && <SmallKey words={`Show all ${found.length}`} onPress={() => setAll(true)} />}
    </>
  );
});
