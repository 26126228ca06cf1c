import { isOwnProduct, recipeIdOf } from '@hoddle/core/handbook/ownIds';
import { type ProductRow } from '@hoddle/core/handbook/products';
import { View } from 'react-native';
import { becomesWords } from '@/household/recipe/becomesWords';
import { useOwnRecipe } from '@/household/recipe/useOwnRecipes';
import { hueOfProduct } from '@/ui/colours';
import { RowLink } from '@/ui/RowLink';
import { Words } from '@/ui/Words';
import { type ProductPath } from './ProductLine';

/** A recipe of the household's own among the products: what it may become, and that it is theirs. */
export function OwnProductLine({ product, leadsTo }: { product: ProductRow; leadsTo?: ProductPath }) {
  const id = recipeIdOf(product.product);
  const recipe = useOwnRecipe(id);
  if (!recipe || !isOwnProduct(product.product)) return null;
  const note = `our own recipe; ${becomesWords(recipe)}`;
  return (
    <View role="listitem">
      <RowLink
        href={
          leadsTo
            ? { pathname: leadsTo, params: { product: product.product } }
            : { pathname: '/bench/recipes/[id]', params: { id } }
        }
        label={`${product.name}. ${note}`}
        className="min-h-[64px] flex-row items-center gap-3 border-t border-hair py-2 pr-2"
      >
        <View className="h-[44px] w-[6px] rounded" style={{ backgroundColor: hueOfProduct(product.product).hue }} />
        <View className="flex-1">
          <Words size="lead" weight={700}>
            {product.name}
          </Words>
          <Words size="small" tone="ink-2">
            {note}
          </Words>
        </View>
      </RowLink>
    </View>
  );
}
