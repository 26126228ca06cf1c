import { nearProducts } from '@hoddle/core/handbook/nearProducts';
import { allProducts, type ProductRow } from '@hoddle/core/handbook/products';
import { useEffect, useState } from 'react';

type Search = (text: string, most?: number) => ProductRow[];

export interface ProductSearch {
  readonly search: Search;
  /** Forgives a letter amiss: what it does not find is not there. Until its file has come nothing may be said to be missing. */
  readonly isWhole: boolean;
}

/** By the words of the names alone, which needs no file of its own. */
const byWords: ProductSearch = {
  search: (text, most = allProducts().length) =>
    text.trim() === '' ? allProducts().slice(0, most) : nearProducts(text, most),
  isWhole: false,
};

/** The search is a file of its own, fetched with the first screen that searches and kept from then on. */
let there: ProductSearch | undefined;

/** Finds products by any name. */
export function useProductSearch(): ProductSearch {
  const [found, setFound] = useState(there);
  useEffect(() => {
    let left = false;
    const fetched = async () => {
      const { searchProducts } = await import('@hoddle/core/handbook/searchProducts');
      there = { search: searchProducts, isWhole: true };
      if (!left) setFound(there);
    };
    // Where it does not come the words of the names do; it is asked for again by the next screen that searches.
    if (!there) fetched().catch(() => undefined);
    return () => {
      left = true;
    };
  }, []);
  return found ?? byWords;
}
