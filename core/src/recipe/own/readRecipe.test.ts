import { neverDone } from './neverDone';
import { readMethod } from './readMethod';
import { timeIn } from './readStep';
import { readRecipe, yieldIn } from './readRecipe';

const JELLY = `Damson and mint jelly, low sugar

Ingredients
3 1/4 lb damsons
1 cup packed fresh mint leaves
2 cups water
1 box low-sugar pectin
3 cups sugar

Method
1. Wash the damsons and bake them in the oven at 350 F for 45 minutes until soft.
2. Meanwhile, pour the boiling water over the mint and let it steep for 30 minutes.
3. Strain the mint tea into the damsons and crush them.
4. Drip through a jelly bag overnight.
5. Measure the juice: you should have 4 cups.
6. Stir in the pectin and bring to a full rolling boil.
7. Add the sugar, boil hard for 1 minute, stirring.
8. Skim, ladle into hot half-pint jars leaving 1/4 inch headspace.
Process 10 minutes in a boiling water canner.
Makes 5 half-pints`;

test('two things go on at once, and what comes then waits for both', () => {
  const { steps } = readRecipe(JELLY);
  expect(steps.map(({ entry, occupies, wait }) => entry ?? [occupies.join(), wait?.[0]])).toEqual([
    'wash',
    ['oven', 45],
    ['burner,pot', 30],
    'strain',
    'drip-4h',
    'measure-juice',
    'full-boil',
    'boil-1-hard',
    'skim',
    'fill',
  ]);
  const id = (i: number) => steps[i]?.id;
  expect([steps[2]?.after, steps[3]?.after, steps[4]?.after]).toEqual([[id(0)], [id(1), id(2)], undefined]);
});

test('what is measured, the yield, the headspace, and minutes of a canner only as text', () => {
  const read = readRecipe(JELLY);
  expect(read).toMatchObject({
    name: 'Damson and mint jelly, low sugar',
    measured: { cups: 4, as: 'juice' },
    yields: { low: 5, high: 5, jar: 'half-pint' },
    headspaceIn: 0.25,
    processing: ['Process 10 minutes in a boiling water canner'],
  });
  expect(read).not.toHaveProperty('source');
});

test('herbs are steeped and strained off, sugar goes in where it is boiled', () => {
  const { lines, steps } = readRecipe(JELLY);
  const where = (item: string) => {
    const line = lines.find((each) => new RegExp(`^${item}`).test(each.item));
    return [
      line?.then,
      steps
        .find(({ id }) => id === line?.into)
        ?.text.split(' ')
        .slice(0, 3)
        .join(' '),
    ];
  };
  expect(where('mint')).toEqual(['taken-out', 'Meanwhile, pour the']);
  expect(where('damson')).toEqual(['jar', 'Bake them in']);
  expect(where('low-sugar pectin')).toEqual(['jar', 'Stir in the']);
  expect(where('sugar')).toEqual(['jar', 'Add the sugar,']);
});

test('salt and ice of a soak go down the drain, vinegar and sugar into the pot after it', () => {
  const { lines } = readRecipe(`Bread and butter slices
6 lb pickling cucumbers
8 cups onions, sliced
1/2 cup canning salt
crushed ice
4 cups vinegar (5 %)
4 1/2 cups sugar
2 Tbsp mustard seed
Slice the cucumbers and onions.
Add the salt, cover with ice and let stand for 3 hours.
Drain well.
Combine vinegar, sugar and mustard seed and boil 10 minutes.
Fill hot into pint jars.`);
  expect(lines.map(({ then }) => then)).toEqual(['jar', 'jar', 'drained', 'drained', 'jar', 'jar', 'jar']);
});

test('an infusion of two days is stirred, strained and measured, with sugar as much as that', () => {
  const read = readRecipe(`Raspberry vinegar
2 lb raspberries
4 cups white wine vinegar 6%
sugar, the same amount
Crush the berries, pour the vinegar over and infuse for 24 to 48 hours, stirring daily.
Strain.
Measure the vinegar.
Bring to a boil with the sugar for 10 minutes.
Fill into half-pint jars.`);
  expect(read.steps.map(({ entry }) => entry)).toEqual(['infuse-24h', 'strain', 'measure-juice', 'boil-10', 'fill']);
  expect(read.steps[0]).toMatchObject({ remind: { words: 'Stir', everyMinutes: 1_440 } });
  expect(read.measured).toEqual({ cups: 4, as: 'vinegar' });
  expect(read.lines[2]).toMatchObject({ role: 'sugar', amount: { of: 'ml', unit: 'cup' } });
  expect(read.lines[2]).not.toHaveProperty('open');
});

/** What was understood, in the shortest words: each line with its step, each step with what it is. */
function understood(text: string) {
  const { lines, steps, name, yields } = readRecipe(text);
  const number = (id: string) => steps.findIndex((step) => step.id === id) + 1;
  return {
    name,
    yields,
    lines: lines.map(({ item, then, into, open }) => `${item}, ${then} ${number(into)}${open ? `, ${open}?` : ''}`),
    steps: steps.map(({ entry, occupies }) => entry ?? occupies.join('+')),
  };
}

test('a leaflet of boxed pectin: bags by what is in them, one gate, butter against foam', () => {
  expect(
    understood(`Strawberry jam by the leaflet
2 gallon bags frozen strawberries (about 8 cups)
1 box powdered pectin
7 cups sugar
1/2 tsp butter, if wished
Thaw the berries overnight in the refrigerator.
Crush the berries. Measure 5 cups into the pot.
Stir in pectin and butter, bring to a full rolling boil.
Add the sugar; return to a boil and boil hard exactly 1 minute.
Skim off the foam. Ladle into jars, wipe rims, cover.
Makes about 8 (1-cup) jars`),
  ).toEqual({
    name: 'Strawberry jam by the leaflet',
    yields: { low: 8, high: 8, jar: 'half-pint' },
    lines: ['frozen strawberries, jar 3', 'powdered pectin, jar 3', 'sugar, jar 4', 'butter, jar 3'],
    steps: ['refrigerator', 'crush-measure', 'full-boil', 'add-sugar', 'boil-1-hard', 'skim', 'fill'],
  });
});

test('garlic dills: the soak that may be left out, the brine, doses by the jar', () => {
  const read = understood(`Garlic dills, our way
8 lb pickling cucumbers
1 gal water
3 c. 5% white vinegar
3/4 cup pickling salt
16 cloves garlic, 2 per jar
1 tsp peppercorns per jar
Wash the cucumbers and cut off the blossom ends.
Soak in ice water 2 hours (optional).
Boil water, vinegar and salt.
Pack garlic, peppercorns and cucumbers into quart jars.
Pour the hot brine over.
Makes 8 quarts`);
  expect(read.steps).toEqual(['wash-blossom-end', '', 'boil-brine', 'raw-pack', 'fill']);
  expect(read.lines).toEqual([
    'pickling cucumbers, jar 4',
    'water, jar 3',
    '5% white vinegar, jar 3',
    'pickling salt, jar 3',
    'garlic, per-jar 4',
    'peppercorns, per-jar 4',
  ]);
});

test.each([
  ['2 gal water and 1 cup salt, for soaking (optional)', ['water, drained', 'salt, drained']],
  ['2 tsp mustard seed and 1 tsp celery seed per jar', ['mustard seed, per-jar', 'celery seed, per-jar']],
  ['1 cup plus 2 Tbsp sugar', ['sugar, jar']],
  ['2 lb and 4 oz damsons', ['damsons, jar']],
  ['3 cups peeled and chopped tomatoes', ['tomatoes, jar']],
])('two ingredients on one line are two, one amount in two parts is one: %s', (line, lines) => {
  const read = readRecipe(`Dills\n${line}\nSoak overnight in the salt water.\nPack into jars.`);
  expect(read.lines.map(({ item, then }) => `${item}, ${then}`)).toEqual(lines);
});

/** Sentences as pages have them, read by hand: the handbook's step or none, minutes waited, whether it is a step at all. */
test.each<{ sentence: string; entry?: string; wait?: readonly [number, number] }>([
  { sentence: 'Simmer, uncovered, 45 minutes to 1 hour.', entry: 'simmer-60', wait: [45, 60] },
  { sentence: 'Cover and let stand in a cool place 12 to 18 hours.', wait: [720, 1_080] },
  { sentence: 'Let ferment at 70 F for 3 to 4 weeks, skimming daily.', entry: 'ferment-3wk' },
  { sentence: 'Soak the slices 1 hour in fresh water, then rinse.', wait: [60, 60] },
  { sentence: 'Put 2 Tbsp bottled lemon juice in each quart jar.', entry: 'acid' },
  { sentence: 'Put the beans in jars.', entry: 'raw-pack' },
  { sentence: 'Blanch tomatoes 30 to 60 seconds, dip in cold water and slip off skins.', entry: 'scald-peel' },
  {
    sentence: 'Sprinkle with salt, cover with ice, and refrigerate for 3 hours.',
    entry: 'salt-ice-3h',
    wait: [180, 180],
  },
  { sentence: 'Cook in slow cooker on low 8 to 10 hours.', wait: [480, 600] },
  { sentence: 'Sterilize the jars in boiling water 10 minutes.', wait: [10, 10] },
])('a step: $sentence', ({ sentence, entry, wait }) => {
  const { steps, unread, processing } = readMethod([sentence]);
  expect([...unread, ...processing]).toEqual([]);
  expect(steps.map((step) => [step.entry, step.wait])).toEqual([[entry, wait]]);
});

test.each([
  'Do not boil.',
  'Flavor is best after 1 week.',
  'If it wrinkles it is done.',
  'Wash jars in hot soapy water.',
  'Keep the jars hot in the dishwasher.',
  'Let jars stand in canner 5 minutes, then remove and cool 12 to 24 hours.',
  'Process pints 15 minutes, adjusting for altitude.',
])('no step, and kept as text: %s', (sentence) => {
  const { steps, unread, processing } = readMethod([sentence]);
  expect(steps).toEqual([]);
  expect([...unread, ...processing]).toEqual([sentence.slice(0, -1)]);
});

test('bags hold what is said to be in them, in its own measure', () => {
  const [bags] = readRecipe('Jam\n2 gallon bags frozen strawberries (about 5 cups crushed)').lines;
  expect(bags?.amount).toMatchObject({ of: 'ml', unit: 'cup', high: expect.closeTo(5 * 236.588, 1) as number });
});

// USDA Complete Guide, guide 1: jars are not sterilised or processed in an oven, and turning them over is no process.
test.each([
  ['Sterilize the jars in the oven at 225 F for 10 minutes.', /sterilises no jars/],
  ['Seal and place in the oven for 20 minutes.', /crack/],
  ['Put the filled jars into a hot oven.', /crack/],
  ['Turn the jars upside down for 5 minutes.', /processes nothing/],
  ['Sterilise in the dishwasher.', /sterilises no jars/],
  ['Roast the peppers in the oven for 20 minutes.', undefined],
  ['Bake in the oven until thick and ladle into jars.', undefined],
])('%s', (sentence, reason) => {
  const read = readRecipe(`Dills\n8 lb cucumbers\nMethod\n${sentence}\nPack into jars.`);
  expect(read.processing).toHaveLength(reason ? 1 : 0);
  expect(read.steps).toHaveLength(reason ? 1 : 2);
  if (reason) expect(neverDone(sentence)).toMatch(reason);
});

test('a title that begins like a step, what is combined in a pot, peeled before the fruit is named', () => {
  const read = understood(`Charred salsa
4 cups peeled, chopped peaches
1 lb chile peppers
Combine peaches and peppers in a kettle.
Simmer 20 minutes.
Fill pint jars.`);
  expect(read).toMatchObject({
    name: 'Charred salsa',
    lines: ['peaches, jar 1', 'chile peppers, jar 1'],
    steps: ['combine', 'simmer-20', 'fill'],
  });
});

test.each([
  ['for 3 hours', [180, 180]],
  ['10-15 min', [10, 15]],
  ['overnight', [480, 720]],
  ['half an hour', [30, 30]],
  ['2 to 3 days', [2_880, 4_320]],
  ['45 minutes to 1 hour', [45, 60]],
  ['30 to 60 seconds', undefined],
  ['until thick', undefined],
])('%s', (said, minutes) => expect(timeIn(said)).toEqual(minutes));

test.each([
  ['Makes about 5 half-pints.', { low: 5, high: 5, jar: 'half-pint' }],
  ['Yield: 7 to 8 pint jars', { low: 7, high: 8, jar: 'pint' }],
  ['makes a lot', undefined],
])('%s', (said, made) => expect(yieldIn(said)).toEqual(made));

describe('nothing pasted is run, and nothing is lost', () => {
  const textOf = (read: ReturnType<typeof readRecipe>) =>
    [
      read.name,
      ...read.lines.map(({ text }) => text),
      ...read.steps.map(({ text }) => text),
      ...read.unread,
      ...read.processing,
    ].join('\n');

  test('three hundred lines', () => {
    const lines = Array.from({ length: 300 }, (_, i) => `${i + 1} cups sugar`);
    const read = readRecipe(lines.join('\n'));
    expect(read.lines).toHaveLength(60);
    expect(read.lines.length + read.unread.length).toBe(300);
  });

  test('a web page: its tags are gone, a script with them', () => {
    const read = readRecipe(
      '<h1>Jam</h1><ul><li>2&nbsp;cups sugar</li><li>4 cups figs</li></ul><script>alert(1)</script>',
    );
    expect(read).toMatchObject({ name: 'Jam', lines: [{ item: 'sugar' }, { item: 'figs' }] });
    expect(textOf(read)).not.toMatch(/alert|</);
  });

  test('another language stays as text and is asked about', () => {
    const read = readRecipe(
      'Zwiebelmarmelade\n1 kg rote Zwiebeln\n200 ml Rotwein\nZwiebeln schälen und in Ringe schneiden.',
    );
    expect(read.lines[0]).toMatchObject({ role: 'low-acid', open: 'food' });
    expect(textOf(read)).toContain('Zwiebeln schälen');
  });

  test('emoji and bare noise', () => {
    for (const text of ['', '🍓🍓🍓', '\u0000\u0000', '....', 'a'.repeat(70_000)])
      expect(() => readRecipe(text)).not.toThrow();
  });
});
