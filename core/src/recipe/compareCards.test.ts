import fc from 'fast-check';
import { CARDS, isOffered } from '../handbook/cards';
import { type CardLine } from '../handbook/cards/card';
import { type MeasuredAmount } from '../handbook/cards/cardAmount';
import { changesOfBatch, compareBatch } from '../process/changesOfBatch';
import { lineWords } from './cardWords';
import { compareCards, neverIn } from './compareCards';
import { EDITED_BATCHES } from './editedBatches';
import { readIngredientLine } from './ingredientLine';
import { measureWords } from './kitchenMeasure';
import { recipeFor } from './recipeFor';

const OFFERED = CARDS.filter(isOffered);

test('every card, written down as it is printed, is itself', () => {
  for (const card of OFFERED) {
    const first = new Set<string | undefined>();
    const isTaken = ({ oneOf }: CardLine) => oneOf === undefined || (!first.has(oneOf) && Boolean(first.add(oneOf)));
    const lines = card.ingredients.filter((line) => line.then !== 'per-jar' && isTaken(line)).map(lineWords);
    expect([card.card, compareBatch(card.product, lines, card.card).verdicts]).toEqual([card.card, []]);
  }
});

// "Every published card passes its own check, at any size": as a kitchen measures it, in cups or in litres.
test('every card passes its own check at any size, in kitchen measures', () => {
  const asked = fc.tuple(
    fc.constantFrom(...OFFERED),
    fc.integer({ min: 1, max: 40 }),
    fc.constantFrom('us' as const, 'metric' as const),
  );
  fc.assert(
    fc.property(asked, ([card, count, units]) => {
      const jars = [{ jar: card.yields?.jar ?? ('quart' as const), count }];
      const made = recipeFor(card, { jars });
      const lines = made.lines
        .filter(({ line }) => !line.optional)
        .map(({ line, each, all }) => `${measureWords(each ?? all, units, line.role)} ${line.as ?? ''} ${line.item}`);
      expect(compareCards(made.card, lines.map(readIngredientLine)).verdicts).toEqual([]);
    }),
    { numRuns: 1_500 },
  );
});

// Handbook rule 17; USDA Complete Guide to Home Canning, 2015, guide 6, on the acidity of pickles.
test('less acid, more water, more vegetables, oil or flour: never, in every card and at any size, and the line is named', () => {
  const cooked = OFFERED.filter(({ ingredients }) =>
    ingredients.some(({ role, then }) => role === 'vinegar' && then === 'jar'),
  );
  fc.assert(
    fc.property(
      fc.constantFrom(...cooked),
      fc.double({ min: 1.2, max: 4, noNaN: true }),
      fc.double({ min: 0.4, max: 1, noNaN: true }),
      (card, more, size) => {
        const written = (role: string, factor: number) =>
          card.ingredients.flatMap((line) => {
            const { amount } = line;
            if (line.optional || line.then === 'per-jar' || amount.of === 'words') return [];
            const times = size * (line.role === role && line.then !== 'drained' ? factor : 1);
            return [`${exactly(amount, times)} ${line.as ?? ''} ${line.item}`];
          });
        const never = (lines: string[]) => neverIn(changesOfBatch(card.product, lines, card.card));
        const thinned = never(written('vinegar', 1 / more));
        expect([card.card, thinned?.verdict]).toEqual([card.card, 'never']);
        if (card.ingredients.some(({ role, then }) => role === 'water' && then === 'jar')) {
          expect(never(written('water', more))?.change).toBe('more-water');
        }
        for (const extra of ['1 cup oil', '1/2 cup flour', '3 lb broccoli', '2 cups rosehips']) {
          const found = changesOfBatch(card.product, [...written('', 1), extra], card.card);
          expect([card.card, extra, found.some(({ line, verdict }) => line === extra && verdict === 'never')]).toEqual([
            card.card,
            extra,
            true,
          ]);
        }
      },
    ),
  );
});

/** To the millilitre and the gram: what is changed, and not what was rounded. */
function exactly({ of, high, unit }: MeasuredAmount, times: number): string {
  if (of === 'ml') return `${(high * times).toFixed(3)} ml`;
  if (of === 'kg') return `${(high * times * 1_000).toFixed(2)} g`;
  return `${(high * times).toFixed(3)} ${unit === 'piece' ? '' : unit}`;
}

const applied = (base: readonly string[], edits: string): string[] =>
  edits.split(' & ').reduce<string[]>(
    (lines, edit) => {
      if (edit.startsWith('+ ')) return [...lines, edit.slice(2)];
      if (edit.startsWith('- ')) return lines.filter((line) => !line.includes(edit.slice(2)));
      const [, key = '', text = ''] = /^(.+?) => (.+)$/.exec(edit) ?? [];
      if (key !== '' && !lines.some((line) => line.includes(key))) throw new Error(`no line with ${key}`);
      return lines.map((line) => (line.includes(key) ? text : line));
    },
    [...base],
  );

const CASES = EDITED_BATCHES.flatMap(({ product, base, edits }) =>
  edits.map(([edit, expected]) => [product, edit, expected, base] as const),
);

test('the table of edited batches is as long as it says', () => expect(CASES.length).toBeGreaterThanOrEqual(200));

// Each batch typed by hand, with the verdict and the line it must name, from handbook rules 2, 3, 14, 16 and 17.
test.each(CASES)('%s, %s: %s', (product, edit, expected, base) => {
  const lines = edit === 'as it is' ? [...base] : applied(base, edit);
  const said = changesOfBatch(product, lines).map(
    ({ verdict, change, line }) => `${verdict} ${change}${line === undefined ? '' : `: ${line}`}`,
  );
  expect(said.sort()).toEqual(expected === '' ? [] : expected.split(' | ').sort());
});

test('half of a batch is recognised as half, and double as double', () => {
  const half = ['2 1/2 lb tomatoes', '1 lb chiles', '8 oz onions', '1/2 cup vinegar', '1 1/2 tsp salt'];
  expect(compareBatch('tomato-chile-salsa', half).scale).toBeCloseTo(0.5, 1);
  const beets = ['14 lb beets', '8 cups vinegar', '4 cups sugar', '4 cups water', '1 Tbsp salt'];
  expect(compareBatch('pickled-beets', beets)).toMatchObject({ scale: expect.closeTo(2, 1), verdicts: [] });
});
