import { type searchProducts } from '@hoddle/core/handbook/searchProducts';
import { useEffect, useState } from 'react';

type Search = typeof searchProducts;

/** The search is a file of its own, fetched with the first screen that searches and kept from then on. */
let there: Search | undefined;

/** Finds products by any name; undefined until its file has come, and then nothing may be said to be missing. */
export function useProductSearch(): Search | undefined {
  const [search, setSearch] = useState(() => there);
  useEffect(() => {
    let left = false;
    const fetched = async () => {
      const file = await import('@hoddle/core/handbook/searchProducts');
      there = file.searchProducts;
      if (!left) setSearch(() => there);
    };
    // Without it the whole list stands there to be read; it is asked for again by the next screen that searches.
    if (!there) fetched().catch(() => undefined);
    return () => {
      left = true;
    };
  }, []);
  return search;
}
