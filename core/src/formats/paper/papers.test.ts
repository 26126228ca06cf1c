import { productQuestion } from '../../../bench/day/productDay';
import { amountsOfBatch } from '../../day/amountsOfBatch';
import { type Batch } from '../../day/batch';
import { HANDS } from '../../day/dayProblem';
import { planDay } from '../../day/planDay';
import { type DayQuestion } from '../../day/questionOfDay';
import { minutesOf } from '../../day/sharedLoad';
import { whoDoes } from '../../day/whoDoes';
import { CARDS, cardsOf, isOffered } from '../../handbook/cards';
import { type Cook } from '../../day/kitchenSetup';
import { localMoment } from '../../measure/localTime';
import { findTestedRow } from '../../process/findProcess';
import { boughtLines, boughtWords } from '../../recipe/boughtLines';
import { recipeFor } from '../../recipe/recipeFor';
import { reportedName } from '../../season/report/reportedWords';
import { NOTHING_MORE, type BatchRecord } from '../../yields/batchRecord';
import { cardToJsonLd } from '../recipeToJsonLd';
import { type Paper, paperText } from './paper';
import { recipePaper } from './recipePaper';
import { type RunSheetDay, runSheet } from './runSheet';
import { processOfBatch, processOfCard } from './cardProcess';
import { shelfList } from './shelfList';
import { shoppingPaper } from './shoppingPaper';
import { yearBook } from './yearBook';

const dates = { order: 'mdy', timeZone: 'America/Denver' } as const;
const COOKS = ['Ann', 'Joe'].map((name) => ({ name, fromMin: 360, toMin: 1_320, breaks: [] }));
const START = localMoment('America/Denver', [2026, 7, 29, 480]);

/** A day as it is laid out, two cooks, from 8 in the morning on. */
function laidOut(question: DayQuestion, cooks: readonly Cook[] = COOKS): RunSheetDay {
  const asked = { ...question, startMinute: 480, setup: { ...question.setup, cooks } };
  const planner = planDay(asked);
  const plan = planner.kind === 'planner' ? planner.step(300).plan : undefined;
  if (!plan) throw new Error('no plan');
  const loads = question.batches.flatMap((batch) =>
    batch.loads.map((load) => ({ load, batch, minutes: minutesOf(batch, load, question.batches) })),
  );
  return {
    ...{ life: asked, startAt: START, tasks: plan.tasks, batches: question.batches, loads },
    canners: question.canners.map(({ id }) => ({ id, name: `Pot ${id}` })),
    likelyAt: START + plan.makespanMin * 60_000,
  };
}
const ground = {
  ...{ dates, units: 'us' as const, pages: {} },
  amountsOf: (batch: Batch) => amountsOfBatch(batch),
};
const tableOf = (paper: Paper) => {
  const table = paper.parts.find((part) => part.kind === 'table');
  if (table?.kind !== 'table') throw new Error('no table');
  return table;
};

const TWO_LOADS = laidOut(productQuestion([['tomatoes-crushed', 'quart', [7, 7], 44]]));

test('on the run sheet stands every step of hands at its time with somebody who is free; waits in the canner stand with their load', () => {
  const { tasks } = TWO_LOADS;
  const who = whoDoes(tasks, TWO_LOADS.life);
  const held = tasks.filter(({ task }) => (task.needs[HANDS] ?? 0) > 0);
  expect(held.every(({ task }) => who.has(task.id))).toBe(true);
  // Nobody does two things at once.
  for (const cook of ['Ann', 'Joe']) {
    const own = held.filter(({ task }) => who.get(task.id) === cook).sort((a, b) => a.startMin - b.startMin);
    own.slice(1).forEach((entry, i) => expect(own[i]!.endMin).toBeLessThanOrEqual(entry.startMin + 1e-6));
  }
  const { rows, columns } = tableOf(runSheet(TWO_LOADS, ground));
  expect(columns.map(({ words }) => words)).toEqual(['When', 'What', 'min', 'Who']);
  const told = tasks.filter(({ task }) => !['heat-up', 'process', 'rest'].includes(task.kind));
  expect(rows).toHaveLength(told.length);
  expect(rows[0]?.[0]?.words).toBe('8:00 am');
  expect(rows.map((row) => row[3]?.words).filter((name) => name !== '').length).toBe(held.length);
});

// USDA Complete Guide 2015, guide 3, crushed tomatoes: quarts 45 min to 1,000 ft, 2 Tbsp bottled lemon juice or 1/2 tsp citric acid.
test('it names the minutes, the dose and the headspace, and what goes in by load', () => {
  const paper = runSheet(TWO_LOADS, ground);
  const text = paperText(paper);
  const { batches } = TWO_LOADS;
  const row = findTestedRow(batches[0] as Batch & { method: 'boiling-water' }, {});
  expect(row.kind).toBe('testedRow');
  expect(text).toMatch(
    new RegExp(`Crushed tomatoes: 14 quarts\\. ${batches[0]!.processMinutes} min boil, looked up for`),
  );
  expect(text).toContain('In every quart: 2 Tbsp bottled lemon juice, or 1/2 tsp citric acid');
  expect(text).toContain('leave 1/2 in headspace');
  const acid = tableOf(paper).rows.filter(([, what]) => /bottled lemon juice/.test(what?.note ?? ''));
  expect(acid).toHaveLength(2);
  const load = tableOf(paper).rows.filter(([, what]) => /then .* min boil, then heat off/.test(what?.note ?? ''));
  expect(load).toHaveLength(2);
  expect(paper.foot).toMatch(/full boil.*extension office/);
  expect(text.startsWith('Saturday, Aug 29, 2026: Crushed tomatoes\n2 loads; likely done')).toBe(true);
  const alone = runSheet(laidOut(productQuestion([['plums', 'pint', [8], 12]]), COOKS.slice(0, 1)), ground);
  expect(tableOf(alone).columns).toHaveLength(3);
  expect(alone.note).toContain('Ann');
});

test('every card of the handbook makes a recipe card on which each of its lines stands once, with what is poured off said so', () => {
  for (const card of CARDS.filter(isOffered)) {
    const jars = [{ jar: card.yields?.jar ?? 'quart', count: Math.max(1, Math.floor(card.yields?.low ?? 7)) }];
    const amounts = recipeFor(card, { jars });
    const paper = recipePaper({
      ...{ card, jars, amounts, units: 'us', recipe: cardToJsonLd(card) },
      process: processOfCard(card, jars[0]!.jar, 800, {}),
    });
    const items = paper.parts.flatMap((part) => (part.kind === 'list' ? part.items : []));
    expect([card.card, items.length]).toEqual([card.card, amounts.lines.length]);
    const drained = amounts.lines.some(({ line }) => line.then === 'drained');
    expect([card.card, paperText(paper).includes('poured off')]).toEqual([card.card, drained]);
    expect(paper.recipe).toMatchObject({ '@type': 'Recipe' });
  }
});

test('of what goes in jar by jar a shopping list says what all jars take', () => {
  const [card] = cardsOf('tomatoes-crushed');
  const { lines } = recipeFor(card!, { jars: [{ jar: 'quart', count: 14 }] });
  const words = boughtLines(lines).map((line) => boughtWords(line, 'us'));
  // 14 times 2 Tbsp are 28 Tbsp: 1 3/4 cups.
  expect(words[0]).toMatchObject({ amount: '1 3/4 cups', beside: expect.stringContaining('2 Tbsp in every jar') });
  const paper = shoppingPaper(
    [
      { key: 'a', words: 'wide lids', unit: 'pieces', needed: 20, here: 8, toBuy: 12, neededOn: '2026-09-05' },
      { key: 'b', words: 'canning salt', unit: 'kg', needed: 1, toBuy: 1, neededOn: '2026-09-05' },
      { key: 'c', words: 'jars', unit: 'pieces', needed: 7, here: 7, toBuy: 0, neededOn: '2026-09-05' },
    ],
    ['b'],
    [{ name: 'Crushed tomatoes', lines: ['1 3/4 cups bottled lemon juice'] }],
    { dates, units: 'us' },
  );
  const text = paperText(paper);
  expect(text).toContain('[ ] 12 wide lids (by Sep 5, 2026)');
  expect(text).toContain('[ ] 1 3/4 cups bottled lemon juice');
  expect(text).not.toMatch(/salt|jars/);
});

test('the shelf by its places, the oldest first, each lot with its code; the year by its batches with how they went', () => {
  const lot = (id: string, place: string, madeAt: number) =>
    ({
      id,
      product: 'plums',
      jar: 'pint',
      place,
      seal: 'sealed',
      madeAt,
      keepsUntil: madeAt + 365 * 86_400_000,
      jars: 3,
      placeKind: 'shelf',
    }) as const;
  const paper = shelfList(
    [lot('new', 'b', Date.UTC(2026, 6, 1)), lot('old', 'b', Date.UTC(2024, 6, 1)), lot('x', 'a', 0)],
    {
      places: [
        { id: 'a', name: 'Attic', kind: 'shelf' },
        { id: 'b', name: 'Cellar', kind: 'shelf' },
        { id: 'c', name: 'Empty', kind: 'shelf' },
      ],
      ...{ dates, now: Date.UTC(2026, 7, 29), codeOf: ({ id }) => id.toUpperCase() },
    },
  );
  expect(paper.parts.flatMap((part) => (part.kind === 'heading' ? [part.words] : []))).toEqual([
    'Attic, 3 jars',
    'Cellar, 6 jars',
  ]);
  const tables = paper.parts.flatMap((part) => (part.kind === 'table' ? [part.rows] : []));
  expect(tables[1]?.map((row) => [row[4]?.words, row[3]?.note])).toEqual([
    ['OLD', 'past'],
    ['NEW', undefined],
  ]);
  const record: BatchRecord = {
    ...NOTHING_MORE,
    ...{ id: 'r', batchId: null, product: 'applesauce', crop: 'apple', massKg: 9.525, waterMl: 0, sugarKg: 0 },
    ...{ jars: [{ jar: 'quart', count: 7 }], partJar: { jar: 'quart', part: 0.5 }, madeAt: Date.UTC(2025, 8, 1, 12) },
    ...{ note: 'less sugar next year', faults: ['too thin'], learnFrom: true },
  };
  // 21 lb to 7 1/2 quarts: 2.8 lb a quart, 1.3 kg a litre.
  for (const [units, perUnit] of [
    ['us', '2.8'],
    ['metric', '1.3'],
  ] as const) {
    const book = yearBook(2025, [record, { ...record, madeAt: Date.UTC(2026, 0, 1, 5) }], [], { dates, units });
    const rows = tableOf(book).rows;
    // Five in the morning of New Year in London is still December in Denver.
    expect(rows).toHaveLength(2);
    expect(rows[0]?.map(({ words }) => words)).toEqual(['Sep 1, 2025', 'Applesauce', '7 quarts', perUnit]);
    expect(rows[0]?.[1]?.note).toMatch(/too thin; less sugar next year/);
    expect(rows[0]?.[2]?.note).toBe('and 1/2 quart');
  }
  expect(reportedName({ product: 'jam-with-pectin', crops: [{ crop: 'damson', massKg: 2 }] })).toBe('Damson jam');
});

// USDA Complete Guide 2015, guide 2, plums, hot or raw: pints 20 min, quarts 25 min to 1,000 ft in boiling water. From memory.
test('of two sizes each has its own minutes, on the sheet, at its load and on the card', () => {
  const [base] = productQuestion([['plums', 'quart', [7], 30]]).batches;
  const batch: Batch = {
    ...{ ...base!, altitudeFt: 800, processMinutes: 25 },
    loads: [base!.loads[0]!, { id: 'small', number: 2, jars: 5, size: { jar: 'pint', processMinutes: 20 } }],
  };
  const day = laidOut({ ...productQuestion([['plums', 'quart', [7], 30]]), batches: [batch] });
  const text = paperText(runSheet(day, ground));
  expect(text).toContain('quarts 25 min boil; pints 20 min boil, looked up for 800 ft');
  expect(text).toMatch(/Load 7 quarts [^\n]*25 min boil/);
  expect(text).toMatch(/Load 5 pints [^\n]*20 min boil/);
  expect(processOfBatch(batch, {}).words).toEqual([
    '25 min boil for quarts, looked up for 800 ft.',
    '20 min boil for pints, looked up for 800 ft.',
  ]);
});

test('jars that go in with another’s stand in its load, at the longer minutes', () => {
  const question = productQuestion([
    ['tomatoes-crushed', 'quart', [4], 13],
    ['plums', 'pint', [3], 4],
  ]);
  const [host, guest] = question.batches as [Batch, Batch];
  const with1 = { ...guest, processMinutes: 20, loads: [{ ...guest.loads[0]!, withLoadId: host.loads[0]!.id }] };
  const day = laidOut({ ...question, batches: [host, with1] });
  const text = paperText(runSheet({ ...day, loads: day.loads.slice(0, 1) }, ground));
  expect(text).toMatch(/Load 4 quarts and 3 pints [^\n]*45 min boil/);
  expect(text).toContain('Plums or damsons in syrup: 3 pints. 45 min boil');
});

test('what is kept cold says so, with the words of the cold and none of the canner; a card without a time or an altitude says why', () => {
  const [base] = productQuestion([['plums', 'pint', [8], 12]]).batches;
  const cold = { ...base!, method: 'refrigerator' as const };
  expect(processOfBatch(cold, {})).toMatchObject({ rows: [], isCold: true });
  const [card] = cardsOf('tomatoes-crushed');
  expect(processOfCard(card!, 'quart', null, {})).toEqual({ rows: [], words: [expect.stringContaining('altitude')] });
  expect(processOfCard(card!, 'quart', 800, {}).words).toEqual([
    expect.stringMatching(/^45 min .*boiling.*looked up for 800 ft\.$/),
  ]);
  // Nobody tested them in half gallons: no time is told.
  const { rows, words } = processOfCard(card!, 'half-gallon', 800, {});
  expect([rows, words]).toEqual([[], [expect.not.stringMatching(/\d+ min/)]]);
});
