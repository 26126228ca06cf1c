import { sendWords } from './sendWords';

/** A browser with only what is put into it. */
const browser: Partial<Record<'share' | 'clipboard', unknown>> = {};
const put = (name: keyof typeof browser, value: unknown) => void (browser[name] = value);
const without = (name: keyof typeof browser) => void Reflect.deleteProperty(browser, name);
beforeAll(() => void Object.defineProperty(globalThis, 'navigator', { value: browser, configurable: true }));

test('words go by what the phone sends with; left there they go nowhere; where that fails, or is not, they are copied', async () => {
  const copied: string[] = [];
  put('clipboard', { writeText: async (text: string) => void copied.push(text) });
  const shared: unknown[] = [];
  put('share', async (words: unknown) => void shared.push(words));
  expect(await sendWords('Shelf', '7 quarts')).toBe('shared');
  expect([shared, copied]).toEqual([[{ title: 'Shelf', text: '7 quarts' }], []]);
  put('share', async () => {
    throw new DOMException('left', 'AbortError');
  });
  expect(await sendWords('Shelf', '7 quarts')).toBe('left');
  put('share', async () => {
    throw new DOMException('no', 'NotAllowedError');
  });
  expect(await sendWords('Shelf', '7 quarts')).toBe('copied');
  without('share');
  expect(await sendWords('Shelf', '8 quarts')).toBe('copied');
  expect(copied).toEqual(['7 quarts', '8 quarts']);
  without('clipboard');
  expect(await sendWords('Shelf', '7 quarts')).toBe('failed');
});
