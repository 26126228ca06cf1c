import fc from 'fast-check';
import { PRODUCTS } from '../handbook/products';
import { JAR_SIZES } from '../handbook/jars';
import { checkHouseholdSource } from './checkHouseholdSource';
import { findProcess } from './findProcess';
import { type HouseholdSource } from './householdSource';
import { METHODS } from './method';
import { bandsOf } from './withOwnSource';

/** An extension leaflet with a time for salsa in quarts, which the handbook has for pints only. */
const leaflet: HouseholdSource = {
  id: 'leaflet',
  title: 'Salsas of the valley',
  kind: 'extension',
  page: '4',
  product: 'tomato-taco-sauce',
  lowAcid: false,
  pack: 'hot',
  jar: 'quart',
  method: 'boiling-water',
  headspaceIn: 0.5,
  bands: [{ upToFt: 6_000, minutes: 30 }],
};
const ask = (source: HouseholdSource, altitudeFt: number, more = {}) => {
  const { product, pack, jar, method } = source;
  return findProcess({ product, pack, jar, method, altitudeFt, ...more }, { sources: [source] });
};

test('a source answers where nothing is tested, shown as theirs, in the bands it gives and in no other', () => {
  expect(checkHouseholdSource(leaflet)).toEqual({ kind: 'accepted' });
  expect(ask(leaflet, 3_420)).toMatchObject({
    kind: 'tested',
    minutes: 30,
    own: true,
    recalled: false,
    source: "Salsas of the valley, p. 4, the household's own",
  });
  expect(ask(leaflet, 6_001)).toMatchObject({ kind: 'refusal', cause: 'own-band-missing' });
  expect(ask(leaflet, 500)).toMatchObject({ kind: 'refusal', cause: 'own-band-missing' });
  expect(ask(leaflet, 3_420, { jar: 'half-gallon' })).toMatchObject({ cause: 'jar-too-large' });
  expect(ask(leaflet, 3_420, { jar: 'pint' })).toMatchObject({ minutes: 30, own: true });
});

test('where both have a time the longer one wins', () => {
  const longer = { ...leaflet, product: 'tomatoes-crushed', bands: [{ upToFt: 6_000, minutes: 65 }] };
  expect(checkHouseholdSource(longer)).toEqual({ kind: 'accepted' });
  expect(ask(longer, 3_420)).toMatchObject({ minutes: 65, own: true, acid: { bottledLemonJuiceTbsp: 2 } });
  expect(ask(longer, 500)).toMatchObject({ minutes: 45, rowId: expect.any(String) });
});

test('a food of their own is taken by its name', () => {
  const own = { ...leaflet, product: 'Aunt May’s plum relish', jar: 'pint' as const };
  expect(checkHouseholdSource(own)).toEqual({ kind: 'accepted' });
  expect(ask(own, 3_420, { product: ' aunt may’s plum relish' })).toMatchObject({ kind: 'tested', minutes: 30 });
});

test.each([
  ['a film', { kind: 'film' }, 'kind', /not a test/],
  ['a blog', { kind: 'blog' }, 'kind', /not a tested source/],
  ['the family', { kind: 'family' }, 'kind', /not a test/],
  ['no page', { page: ' ' }, 'page', /without it nobody can look/],
  ['no title', { title: ' ' }, 'title', /Name the source/],
  ['low-acid food without pressure', { product: 'snap-beans' }, 'method', /only ever pressure canned/],
  ['a low-acid food of their own', { product: 'Pea stew', lowAcid: true }, 'method', /only ever pressure canned/],
  ['pumpkin butter', { product: 'pumpkin butter' }, 'product', /no tested time/],
  [
    'fewer minutes than the handbook',
    { product: 'tomatoes-crushed', bands: [{ upToFt: 6_000, minutes: 50 }] },
    'bands',
    /55 min .* fewer is never taken/,
  ],
  [
    'fewer than for a smaller jar',
    { product: 'tomato-sauce-thin', jar: 'half-gallon', bands: [{ upToFt: 6_000, minutes: 45 }] },
    'bands',
    /50 min/,
  ],
  ['a band that is none', { bands: [{ upToFt: 2_500, minutes: 30 }] }, 'bands', /no altitude band/],
  ['no band', { bands: [] }, 'bands', /at least one/],
  [
    'a higher band that is shorter',
    {
      bands: [
        { upToFt: 1_000, minutes: 40 },
        { upToFt: 3_000, minutes: 30 },
      ],
    },
    'bands',
    /never shorter/,
  ],
  [
    'pressure without a pressure',
    { method: 'pressure-dial', bands: [{ upToFt: 2_000, minutes: 30 }] },
    'bands',
    /needs the pressure/,
  ],
  [
    'a dial gauge up high',
    { method: 'pressure-dial', bands: [{ upToFt: null, minutes: 30, pressurePsi: 15 }] },
    'bands',
    /above 8,000/,
  ],
  ['steam over 45 min', { method: 'steam', bands: [{ upToFt: 1_000, minutes: 50 }] }, 'bands', /45 min/],
  [
    'less pressure than the handbook',
    { product: 'snap-beans', method: 'pressure-dial', bands: [{ upToFt: 2_000, minutes: 60, pressurePsi: 6 }] },
    'bands',
    /25 min at 11 psi/,
  ],
])('%s is refused by a sentence at its field', (_, part, field, reason) => {
  expect(checkHouseholdSource({ ...leaflet, ...part } as HouseholdSource)).toEqual({
    kind: 'refused',
    field,
    reason: expect.stringMatching(reason),
  });
});

test('no accepted source ever shortens the handbook, nor brings low-acid food out of the pressure canner', () => {
  const source = fc
    .record({
      product: fc.constantFrom(...PRODUCTS.map(({ product }) => product)),
      pack: fc.constantFrom('hot' as const, 'raw' as const),
      jar: fc.constantFrom(...JAR_SIZES),
      method: fc.constantFrom(...METHODS),
      minutes: fc.integer({ min: 1, max: 120 }),
      pressurePsi: fc.integer({ min: 1, max: 20 }),
      band: fc.nat(4),
    })
    .map(({ minutes, pressurePsi, band, ...rest }): HouseholdSource => {
      const bands = bandsOf(rest.method);
      const { upToFt } = bands[band % bands.length]!;
      const given = { upToFt: upToFt === Infinity ? null : upToFt, minutes };
      return { ...leaflet, ...rest, bands: [rest.method.startsWith('pressure') ? { ...given, pressurePsi } : given] };
    });
  fc.assert(
    fc.property(source, fc.double({ min: 0, max: 12_000, noNaN: true }), (own, altitudeFt) => {
      if (checkHouseholdSource(own).kind === 'refused') return;
      const { product, pack, jar, method } = own;
      const question = { product, pack, jar, method, altitudeFt };
      const [published, both] = [findProcess(question), findProcess(question, { sources: [own] })];
      if (published.kind === 'tested') {
        expect(both.kind === 'tested' && both.minutes >= published.minutes).toBe(true);
        expect(both.kind === 'tested' && (both.pressurePsi ?? 0) >= (published.pressurePsi ?? 0)).toBe(true);
      }
      const lowAcid = PRODUCTS.find((row) => row.product === product)?.productClass === 'low-acid';
      if (lowAcid && !method.startsWith('pressure')) expect(both.kind).toBe('refusal');
      if (both.kind === 'tested' && method === 'steam') expect(both.minutes).toBeLessThanOrEqual(45);
      if (both.kind === 'tested' && method === 'pressure-dial') expect(altitudeFt).toBeLessThanOrEqual(8_000);
    }),
    { numRuns: 3_000 },
  );
});
