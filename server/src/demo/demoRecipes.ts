import { ownProductId } from '@hoddle/core/handbook/ownIds';
import { KG_PER_LB } from '@hoddle/core/measure/amount';
import { type OwnRecipe } from '@hoddle/core/process/ownRecipe';
import { readRecipe } from '@hoddle/core/recipe/own/readRecipe';
import { type BatchRecord, NOTHING_MORE } from '@hoddle/core/yields/batchRecord';
import { idOf } from './demoIds';

const DAY = 24 * 60 * 60_000;
const JELLY = idOf('recipe damson and mint jelly');

/** As it was pasted, with what was asked settled: every vinegar is of 5 %. */
function pasted(id: string, text: string): OwnRecipe {
  const { processing: _, unread: __, ...page } = readRecipe(text);
  const lines = page.lines.map(({ open: ___, ...line }) => line);
  return { ...page, lines, unread: [], id, revision: 1, draft: false };
}

/** The two recipes of the household's own. Invented, as the book is. */
export function demoRecipes(): OwnRecipe[] {
  const jelly = pasted(
    JELLY,
    `Damson and mint jelly
3 1/4 lb damsons
1 cup packed fresh mint leaves
2 cups water
1 box low-sugar pectin
3 cups sugar
Wash the damsons and bake them in the oven at 350 F for 45 minutes until soft.
Meanwhile, pour the boiling water over the mint and let it steep for 30 minutes.
Strain the mint tea into the damsons.
Drip through a jelly bag for 4 hours.
Measure the juice: you should have 4 cups.
Stir in the pectin and bring to a full rolling boil.
Add the sugar, boil hard for 1 minute, stirring.
Skim, ladle into hot half-pint jars leaving 1/4 inch headspace.
Makes 5 half-pints`,
  );
  const dill = pasted(
    idOf('recipe refrigerator dill carrots'),
    `Refrigerator dill carrots
2 lb carrots, peeled, cut in sticks
3 cups white vinegar (5 %)
2 cups water
2 Tbsp canning salt
1 clove garlic in each jar
1 head dill in each jar
Peel the carrots and cut them in sticks.
Boil the vinegar, water and salt.
Pack the carrots, garlic and dill into jars.
Cover with the hot brine, 1/2 inch headspace.
Makes 4 pints`,
  );
  return [
    {
      ...jelly,
      source: {
        ...{
          title: 'The Hollow Book of Tested Spreads',
          kind: 'tested-book',
          page: '44',
          method: 'boiling-water',
          jar: 'half-pint',
        },
        bands: [
          { upToFt: 1_000, minutes: 10 },
          { upToFt: 3_000, minutes: 10 },
          { upToFt: 6_000, minutes: 10 },
          { upToFt: null, minutes: 15 },
        ],
      },
    },
    { ...dill, readyDays: [2, 3] },
  ];
}

/** What became of the jelly last year and the year before: fewer jars than its page says. */
export function demoRecipeRecords(demoNow: number): BatchRecord[] {
  return [360, 725].map((daysAgo, i): BatchRecord => ({
    ...NOTHING_MORE,
    id: idOf(`damson and mint jelly ${daysAgo} days ago`),
    batchId: null,
    product: ownProductId(JELLY),
    crop: 'damson',
    massKg: 3.25 * KG_PER_LB,
    waterMl: 0,
    sugarKg: 0,
    jars: [{ jar: 'half-pint', count: 4 }],
    partJar: i === 0 ? { jar: 'half-pint', part: 0.5 } : null,
    madeAt: demoNow - daysAgo * DAY,
    note: 'Dripped overnight, not pressed.',
    learnFrom: true,
  }));
}
