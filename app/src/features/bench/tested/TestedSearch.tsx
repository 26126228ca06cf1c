import Search from 'lucide-react-native/icons/search';
import { type ProductId, type ProductRow } from '@hoddle/core/handbook/products';
import { cardsOf } from '@hoddle/core/handbook/cards';
import { isOwnProduct } from '@hoddle/core/handbook/ownIds';
import { searchNever } from '@hoddle/core/process/neverOnShelf';
import { useDeferredValue, useMemo } from 'react';
import { TextInput, View } from 'react-native';
import { RefusalPart } from '@/household/process/RefusalPart';
import { useOwnRecipes } from '@/household/recipe/useOwnRecipes';
import { useHousehold } from '@/store/useHousehold';
import { useProductSearch } from '@/store/useProductSearch';
import { COLOURS } from '@/ui/colours';
import { Heading, Words } from '@/ui/Words';
import { type ProductPath } from './ProductLine';
import { ProductList } from './ProductList';

interface TestedSearchProps {
  typed: string;
  onType: (typed: string) => void;
  chosen?: ProductId;
  /** What a line of the list leads to: the tested time, or what may be changed in it. */
  leadsTo?: ProductPath;
}

/** Search as one types: products by any name, and a refusal with its way out for what is never tested. */
export function TestedSearch({ typed, onType, chosen, leadsTo }: TestedSearchProps) {
  const { altitudeFt } = useHousehold().household;
  // What is typed shows at once; the list follows as soon as there is time, even on an old phone.
  const settled = useDeferredValue(typed);
  const own = useOwnRecipes();
  const { search, isWhole } = useProductSearch();
  const found = useMemo(
    () => search(settled).filter(isListed),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- what lies beside the handbook is searched too
    [search, settled, own],
  );
  const never = useMemo(() => searchNever(settled), [settled]);
  const count = found.length === 1 ? '1 product' : `${found.length} products`;
  return (
    <View className="gap-3">
      <Words size="label" weight={600} className="-mb-2">
        A product or a crop, by any name
      </Words>
      <View className="justify-center">
        <TextInput
          aria-label="Search by any name"
          value={typed}
          onChangeText={onType}
          autoComplete="off"
          autoCorrect={false}
          className="min-h-[52px] rounded-key border-2 border-key-edge bg-plate pl-[44px] pr-3 font-bold text-lead text-ink"
        />
        <View className="absolute left-[13px]" style={{ pointerEvents: 'none' }}>
          <Search size={22} color={COLOURS.ink2} strokeWidth={2.4} />
        </View>
      </View>
      <Words size="label" tone="ink-2" role="status" aria-live="polite">
        {count}
        {altitudeFt === null
          ? '; altitude not set, so no single number'
          : `, minutes at ${altitudeFt.toLocaleString('en-US')} ft`}
      </Words>
      {never.map((row) => (
        <View key={row.name} className="gap-1">
          <Heading>{row.name}</Heading>
          <RefusalPart refusal={{ reason: row.reason, instead: [...row.instead] }} altitudeFt={altitudeFt} />
        </View>
      ))}
      {isWhole && found.length === 0 && never.length === 0 && (
        <Words>
          Nobody tested that, as far as the handbook knows. Do not take another food’s time for it: eat it fresh, ask
          the local extension office, or write its page down under Our recipes.
        </Words>
      )}
      <ProductList key={settled === '' ? 'all' : 'found'} found={found} chosen={chosen} leadsTo={leadsTo} />
    </View>
  );
}

/** Half written down, or put away, a recipe is not among what can be made. */
function isListed({ product }: ProductRow): boolean {
  return !isOwnProduct(product) || cardsOf(product).length > 0;
}
