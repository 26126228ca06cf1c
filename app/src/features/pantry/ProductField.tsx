import { findProduct, type ProductId, productRow } from '@hoddle/core/handbook/products';
import { productCalled } from '@hoddle/core/handbook/nearProducts';
import { useProductSearch } from '@/store/useProductSearch';
import { RadioRow } from '@/ui/RadioRow';
import { TextField } from '@/ui/TextField';

const MOST_OFFERED = 5;

/** The product that words stand for, once they are the name of one. */
export function productOf(words: string): ProductId | undefined {
  return (productCalled(words) ?? findProduct(words))?.product;
}

/** A product by its name, or by what people call it: typed, or taken from those that are near. */
export function ProductField({
  label,
  words,
  onWords,
  wrong = false,
}: {
  label: string;
  words: string;
  onWords: (words: string) => void;
  wrong?: boolean;
}) {
  const { search } = useProductSearch();
  const product = productOf(words);
  const offered = product || words.trim() === '' ? [] : search(words, MOST_OFFERED);
  return (
    <>
      <TextField label={label} value={words} onChange={onWords} wrong={wrong} />
      {product && <RadioRow words={productRow(product).name} chosen onPress={() => undefined} />}
      {offered.map(({ product: id, name }) => (
        <RadioRow key={id} words={name} chosen={false} onPress={() => onWords(name)} />
      ))}
    </>
  );
}
