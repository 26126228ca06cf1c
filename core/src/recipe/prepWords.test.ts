import { CARDS } from '../handbook/cards';
import { prepWords } from './prepWords';

/** An amount of one published batch; "1 cup per cup of juice", "6 cups at a time" hold for any. */
const OF_ONE_BATCH =
  /\b\d[\d\s/.-]*(cups?|gallons?|quarts?|pints?|lb|Tbsp|tsp|sticks?|pieces?)\b(?! per| (\w+ )?at a time)/;

test('no ingredient of a batch of another size is told with an amount of the published one', () => {
  for (const { card, ingredients } of CARDS) {
    for (const line of ingredients) {
      const { item, as } = line;
      const said = prepWords(line).filter((part) => !/back into each jar|into each 5 lb/.test(part));
      expect([card, item, said.filter((part) => OF_ONE_BATCH.test(part))]).toEqual([card, item, []]);
      expect(said.join(' ')).not.toMatch(/recalled|csv/);
      if (as !== undefined) expect(said).not.toContain(as);
    }
  }
});
