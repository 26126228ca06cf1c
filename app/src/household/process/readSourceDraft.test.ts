import { readSourceDraft, type SourceDraft } from './readSourceDraft';

const draft: SourceDraft = {
  title: ' Sauces of the valley ',
  kind: 'extension',
  page: '4',
  food: 'taco sauce',
  lowAcid: false,
  pack: 'hot',
  jar: 'quart',
  method: 'boiling-water',
  headspaceIn: 0.5,
  bands: [
    { minutes: '', psi: '' },
    { minutes: '25', psi: '' },
    { minutes: '30', psi: '' },
  ],
};

test('a page that gives two bands is a source for these two, of the product it names', () => {
  expect(readSourceDraft(draft, 'id')).toEqual({
    kind: 'ready',
    source: expect.objectContaining({
      title: 'Sauces of the valley',
      product: 'tomato-taco-sauce',
      bands: [
        { upToFt: 3_000, minutes: 25 },
        { upToFt: 6_000, minutes: 30 },
      ],
    }),
  });
});

test.each([
  ['a film', { kind: 'film' }, 'kind'],
  ['no page', { page: '' }, 'page'],
  ['words for minutes', { bands: [{ minutes: 'half an hour', psi: '' }] }, 'bands'],
  ['half a minute', { bands: [{ minutes: '20.5', psi: '' }] }, 'bands'],
  ['no band at all', { bands: [] }, 'bands'],
  ['a pressure without minutes', { method: 'pressure-dial', bands: [{ minutes: '', psi: '11' }] }, 'bands'],
  ['minutes without a pressure', { method: 'pressure-dial', bands: [{ minutes: '25', psi: '' }] }, 'bands'],
  ['green beans in boiling water', { food: 'Green beans' }, 'method'],
  ['a soup of their own in boiling water', { food: 'Our soup', lowAcid: true }, 'method'],
  ['pumpkin butter', { food: 'pumpkin butter' }, 'product'],
] as const)('%s is told in a sentence', (_, part, field) => {
  expect(readSourceDraft({ ...draft, ...part }, 'id')).toEqual({
    kind: 'slip',
    field,
    sentence: expect.stringMatching(/\.$/),
  });
});
