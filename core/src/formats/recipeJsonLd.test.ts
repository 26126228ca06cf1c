import fc from 'fast-check';
import jsonld from 'jsonld';
import { CARDS } from '../handbook/cards';
import { anyOwnRecipe } from '../process/anyOwnRecipe';
import { cardFromJsonLd, draftFromJsonLd, jsonLdIn, pageFromJsonLd, recipeIn } from './recipeJsonLd';
import { cardToJsonLd, pageToJsonLd } from './recipeToJsonLd';
import context from './testdata/schemaOrgContext.json';

/** Over the wire and back: what is not plain JSON is gone. */
const sent = (value: unknown): unknown => JSON.parse(JSON.stringify(value));

test.each(CARDS.map((card) => [card.card, card] as const))('%s goes out and comes back without loss', (_, card) => {
  expect(cardFromJsonLd(sent(cardToJsonLd(card)))).toEqual(sent(card));
});

test('two hundred pages of a household go out and come back without loss', () => {
  fc.assert(
    fc.property(anyOwnRecipe, (recipe) => expect(pageFromJsonLd(sent(pageToJsonLd(recipe)))).toEqual(sent(recipe))),
    { numRuns: 200 },
  );
});

// The reader is another program's: the JSON-LD processor of the working group's editors, with schema.org's words as they stand here.
test('a processor that is not ours finds as many ingredients and steps as went in', async () => {
  const documentLoader = (url: string) => {
    if (!url.startsWith('https://schema.org')) throw new Error(`nothing is fetched: ${url}`);
    return Promise.resolve({ contextUrl: undefined, documentUrl: url, document: context });
  };
  for (const card of CARDS) {
    const document = sent(cardToJsonLd(card)) as jsonld.JsonLdDocument;
    const expanded = (await jsonld.expand(document, { documentLoader } as jsonld.Options.Expand)) as unknown;
    const [recipe] = expanded as Record<string, { '@list'?: unknown[] }[]>[];
    const of = (word: string) =>
      (recipe?.[`https://schema.org/${word}`] ?? []).flatMap((value) => value['@list'] ?? [value]);
    expect([card.card, of('recipeIngredient').length, of('recipeInstructions').length]).toEqual([
      card.card,
      card.ingredients.length,
      card.steps.length,
    ]);
    expect(of('additionalProperty')).toHaveLength(1 + card.ingredients.length + card.steps.length);
  }
});

describe('recipes of other programs, in the shapes they come in', () => {
  const ingredients = ['4 cups strawberries, crushed', '1 box pectin', '7 cups sugar'];
  const shapes: readonly (readonly [string, unknown])[] = [
    ['steps as one text', { recipeInstructions: 'Crush the berries.\nBoil hard 1 minute.\nFill into jars.' }],
    [
      'steps as a list of texts',
      { recipeInstructions: ['Crush the berries.', 'Boil hard 1 minute.', 'Fill into jars.'] },
    ],
    [
      'steps in sections',
      {
        recipeInstructions: [
          { '@type': 'HowToSection', itemListElement: [{ '@type': 'HowToStep', text: 'Crush the berries.' }] },
          {
            '@type': 'HowToSection',
            itemListElement: [
              { '@type': 'HowToStep', text: 'Boil hard 1 minute.' },
              { text: '<p>Fill into jars.</p>' },
            ],
          },
        ],
      },
    ],
  ];

  test.each(shapes)('%s', (_, shape) => {
    const node = {
      '@type': ['Recipe'],
      name: 'Berry jam',
      recipeIngredient: ingredients,
      recipeYield: ['8', '8 half-pints'],
      ...(shape as object),
    };
    const web = `<html><script>alert(1)</script><script type="application/ld+json">${JSON.stringify({ '@graph': [{ '@type': 'WebPage' }, node] })}</script>`;
    const draft = draftFromJsonLd(jsonLdIn(web));
    expect(draft).toMatchObject({ name: 'Berry jam', yields: { low: 8, high: 8, jar: 'half-pint' } });
    expect(draft?.lines.map(({ role }) => role)).toEqual(['acid-food', 'pectin', 'sugar']);
    expect(draft?.steps.map(({ entry }) => entry)).toEqual(['crush-measure', 'boil-1-hard', 'fill']);
  });

  test('what is no recipe, or ends too early, is none', () => {
    for (const text of ['', '{', '[]', '{"@type":"Person"}', '<script type="application/ld+json">{</script>']) {
      expect(recipeIn(jsonLdIn(text))).toBeUndefined();
    }
    const nested: unknown[] = [];
    let deep = nested;
    for (let i = 0; i < 50; i++) deep.push((deep = []));
    expect(recipeIn({ '@graph': nested })).toBeUndefined();
  });
});
