import { renderHook } from '@testing-library/react-native';
import { useProductSearch } from './useProductSearch';

// Here the file of the search cannot be fetched, as on a phone that lost its signal between two screens.
test('where the search does not come the words of the names find, and nothing is said to be missing', async () => {
  const { result } = renderHook(() => useProductSearch());
  await new Promise(setImmediate);
  const { search, isWhole } = result.current;
  const names = (text: string, most?: number) => search(text, most).map(({ product }) => product);
  expect(names('crushed')).toContain('tomatoes-crushed');
  expect(names('peach', 2)).toHaveLength(2);
  expect(names(' ').length).toBeGreaterThan(50);
  expect(names('applsauce')).toEqual([]);
  expect(isWhole).toBe(false);
});
