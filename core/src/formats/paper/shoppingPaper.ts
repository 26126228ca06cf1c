import { type DateStyle, dayWords } from '../../measure/dateWords';
import { amountToBuy, type ShoppingItem } from '../../season/report/shoppingList';
import { item, type Paper, type PaperPart } from './paper';

/** What to buy, with boxes to tick; what was ticked on the phone is left out. */
export function shoppingPaper(
  items: readonly ShoppingItem[],
  ticked: readonly string[],
  more: readonly { readonly name: string; readonly lines: readonly string[] }[],
  { dates, units }: { dates: DateStyle; units: 'us' | 'metric' },
): Paper {
  const open = items.filter(({ key, toBuy }) => toBuy > 0 && !ticked.includes(key));
  const parts: PaperPart[] = [
    ...more
      .filter(({ lines }) => lines.length > 0)
      .flatMap(({ name, lines }): PaperPart[] => [
        { kind: 'heading', words: name },
        { kind: 'list', tick: true, items: lines.map((line) => item(line)) },
      ]),
    ...(more.length > 0 && open.length > 0 ? [{ kind: 'heading', words: 'For the season’s days' } as const] : []),
    {
      kind: 'list',
      tick: true,
      items: open.map((each) =>
        item(`${amountToBuy(each, units)} ${each.words}`, `by ${dayWords(each.neededOn, dates)}`),
      ),
    },
  ];
  return {
    title: 'Shopping list',
    parts: open.length === 0 && more.length === 0 ? [{ kind: 'words', words: 'Nothing is missing.' }] : parts,
    foot: 'Vinegar and lemon juice of 5 %, by the label; lemon juice from a bottle. Lids new each time unless they are made to be used again.',
  };
}
