import { EXAMPLES } from '@hoddle/contract/openapi/examples';
import { startServer } from './testServer';

let server: Awaited<ReturnType<typeof startServer>>;
beforeAll(async () => (server = await startServer()));
afterAll(() => server.stop());

const ask = (jars: object[], more: object = {}) =>
  server.call('POST', '/fit', {
    canner: { insideDiameterIn: 12, insideHeightIn: 10, rackHeightIn: 0.5, ...more },
    jars,
  });

test('jars by size or by measure stand in the pot, or it is said what binds', async () => {
  expect((await server.call('POST', '/fit', EXAMPLES.fit)).body).toMatchObject({ fits: true, capacity: 5 });
  // Seven circles go into one of three times their radius: Graham et al. 1998, from memory.
  const exact = await ask([{ diameterIn: 4, heightIn: 6, count: 7 }]);
  expect(exact.body).toMatchObject({ fits: true, capacity: 7, limitedBy: 'floor' });
  expect(exact.body.circles[0]).toEqual({ x: 0, y: 0, r: 2, size: '4 by 6 in' });
  expect((await ask([{ diameterIn: 4, heightIn: 6, count: 8 }])).body).toMatchObject({ fits: false, capacity: 7 });
  expect((await ask([{ size: 'half-gallon', count: 1 }])).body).toMatchObject({ fits: false, limitedBy: 'depth' });
  const mixed = await ask([
    { size: 'quart', count: 3 },
    { size: 'half-pint', count: 4 },
  ]);
  expect([mixed.body.fits, mixed.body.circles.length, mixed.body.capacity]).toEqual([true, 7, undefined]);
});

test.each([
  ['no jars', [], {}],
  ['a size that is none', [{ size: 'barrel', count: 1 }], {}],
  ['half a jar', [{ size: 'pint', count: 0.5 }], {}],
  ['a pot without width', [{ size: 'pint', count: 1 }], { insideDiameterIn: 0 }],
  [
    'more jars than any pot takes',
    [
      { size: 'pint', count: 60 },
      { size: 'quart', count: 1 },
    ],
    {},
  ],
])('%s is a 400', async (_, jars, more) => {
  const { status, body } = await ask(jars, more);
  expect([status, body.error.code]).toEqual([400, 'invalid']);
});
