import { allProducts, type ProductRow } from './products';

/** "Purées" and "puree" are one word: accents, capitals and the end of a plural are dropped. */
export function folded(term: string): string {
  return term
    .toLowerCase()
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .replace(/(ies|es|s)$/, (end) => (end === 'ies' ? 'y' : ''));
}

/** The product whose id, name or other name is exactly this, whatever its case and accents. */
export function productCalled(text: string): ProductRow | undefined {
  const asked = key(text.trim());
  return allProducts().find(({ product, name, otherNames }) =>
    [product, name, ...otherNames].some((known) => key(known) === asked),
  );
}

/** Words compared without what differs between two who mean the same. */
export function key(text: string): string {
  return text.split(/\s+/).map(folded).join(' ');
}

/**
 * Products with a word of what was asked in one of their names, most of the words first: what to offer in place of one that
 * nobody tested. A search by letters is `searchProducts`; this one needs no index.
 */
export function nearProducts(asked: string, most: number): ProductRow[] {
  const words = asked
    .slice(0, 80)
    .split(/[\s-]+/)
    .map(folded)
    .filter((word) => word.length > 2);
  const scored = allProducts().map((row) => {
    const names = [row.name, ...row.otherNames].flatMap((name) => name.split(/[\s-]+/).map(folded));
    return { row, score: words.filter((word) => names.some((name) => name.startsWith(word))).length };
  });
  return scored
    .filter(({ score }) => score > 0)
    .sort((a, b) => b.score - a.score)
    .slice(0, most)
    .map(({ row }) => row);
}
