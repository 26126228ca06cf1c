import { CARDS, isOffered } from '../handbook/cards';
import { daySequence, madeBefore } from '../day/daySequence';
import { recipeFor } from './recipeFor';
import { amountWordsOf } from './amountWords';
import { linesOfStep, produceOfStep, stepGroups } from './stepGroups';

const OFFERED = CARDS.filter(isOffered);
const made = (card: (typeof OFFERED)[number]) =>
  recipeFor(card, { jars: [{ jar: card.yields?.jar ?? 'quart', count: 7 }] });

test('a sheet shows every line of every card once, what is poured off apart from what is eaten', () => {
  for (const card of OFFERED) {
    const { lines, steps } = made(card);
    const groups = stepGroups(lines, steps);
    const shown = [...groups.produce, ...groups.steps.flatMap((group) => group.lines)];
    expect([card.card, shown.map(({ line }) => line.item).sort()]).toEqual([
      card.card,
      lines.map(({ line }) => line.item).sort(),
    ]);
    for (const group of groups.steps) {
      expect(group.lines.every(({ line }) => (line.then === 'drained') === group.drained)).toBe(true);
      expect(group.lines.every(({ perJar }) => (perJar !== undefined) === group.perJar)).toBe(true);
    }
  }
});

test('in the kitchen every line has the step at which it goes in, and none is told twice', () => {
  for (const card of OFFERED) {
    const { lines } = made(card);
    const every = [...madeBefore(card), ...daySequence(card, [])];
    const seen = new Map<string, number>();
    const entries = every.map(({ entry }) => {
      const count = (seen.get(entry) ?? 0) + 1;
      seen.set(entry, count);
      return count === 1 ? entry : `${entry}#${count}`;
    });
    const told = entries.flatMap((entry) => linesOfStep(lines, entry));
    expect([card.card, told.map(({ line }) => line.item + line.into).sort()]).toEqual([
      card.card,
      lines.map(({ line }) => line.item + line.into).sort(),
    ]);
  }
});

// The National Center, blackberry jelly: 3 1/2 cups of juice, from about 3 1/2 quarts of berries.
test('cups of juice are never told as cups of berries, least of all while they are washed', () => {
  const card = CARDS.find((each) => each.card === 'jelly-with-pectin/blackberry')!;
  const { lines } = made(card);
  const berries = lines.find(({ line }) => line.crops.includes('blackberry'))!;
  expect(amountWordsOf(berries, 'us', 'all').item).toBe('blackberries, juice');
  expect(produceOfStep(lines, card, 'wash')).toEqual([]);
  expect(linesOfStep(lines, 'measure-juice')).toContain(berries);
});

test('an amount is told with its measure in both systems, never as a bare or broken number', () => {
  for (const card of OFFERED) {
    for (const line of made(card).lines) {
      for (const units of ['us', 'metric'] as const) {
        for (const of of ['pot', 'all'] as const) {
          const { amount, item } = amountWordsOf(line, units, of);
          expect([item, amount]).toEqual([item, expect.not.stringMatching(/NaN|undefined|Infinity|^$|^0 /)]);
        }
      }
    }
  }
});
