import openApiSchema from '@seriousme/openapi-schema-validator/schemas/v3.1/schema.json';
import addFormats from 'ajv-formats';
import Ajv2020 from 'ajv/dist/2020';
import { EXAMPLES } from '@hoddle/contract/openapi/examples';
import { openApiDocument } from '@hoddle/contract/openapi/openApiDocument';
import { OPERATIONS } from '@hoddle/contract/openapi/operations';
import { repliesChecked } from './openApiChecker';
import { startServer } from './testServer';

let server: Awaited<ReturnType<typeof startServer>>;
beforeEach(async () => (server = await startServer()));
afterEach(() => server.stop());

// OpenAPI Specification 3.1: its own JSON Schema, as a validator package ships it.
test('the document is an OpenAPI 3.1 document', () => {
  const ajv = new Ajv2020({ strict: false, allErrors: true });
  addFormats(ajv);
  ajv.addFormat('media-range', true);
  const validate = ajv.compile(openApiSchema);
  expect(validate(openApiDocument()) ? [] : validate.errors).toEqual([]);
  expect(validate({ ...openApiDocument(), paths: { health: {} } })).toBe(false);
});

/** Where labels and shared pages lead: for cameras and browsers, not for programs. */
const NO_API = ['get /j/{code}', 'get /open/{name}'];

test('every route of the server is in the document, and nothing else', () => {
  const routes: string[] = [];
  const walk = (stack: Layer[]) => {
    for (const { route, handle } of stack) {
      if (route) {
        const path = route.path.replace(/:(\w+)/g, '{$1}');
        routes.push(...route.stack.map(({ method }) => `${method} ${path}`));
      } else if (handle.stack) walk(handle.stack);
    }
  };
  walk((server.express as unknown as { router: { stack: Layer[] } }).router.stack);
  const api = [...new Set(routes)].filter((route) => !route.includes('*') && !NO_API.includes(route));
  expect(api.sort()).toEqual(OPERATIONS.map(({ method, path }) => `${method} ${path}`).sort());
});

test('every example of the document, asked or answered, is one that its schema takes', () => {
  const ajv = new Ajv2020({ strict: false });
  addFormats(ajv);
  let held = 0;
  const walk = (part: unknown) => {
    if (typeof part !== 'object' || part === null) return;
    const { schema, example } = part as { schema?: object; example?: unknown };
    if (schema && example !== undefined) {
      held += 1;
      expect([example, ajv.validate(schema, example), ajv.errorsText()]).toEqual([example, true, 'No errors']);
    }
    Object.values(part).forEach(walk);
  };
  walk(JSON.parse(JSON.stringify(openApiDocument())));
  expect(held).toBeGreaterThan(25);
});

test('every operation answers its own example as the document says', async () => {
  // What stands in another's example comes before it.
  const order = ['/picks', '/plantings/{id}', '/batches', '/kitchen/events', '/jars-in', '/movements'];
  const operations = [...OPERATIONS].sort((a, b) => placeIn(order, a.path) - placeIn(order, b.path));
  for (const { method, path, queryExample, bodyExample } of operations) {
    // An open line of events is listened to, not answered: server.test.ts does.
    if (method === 'delete' || path === '/changes') continue;
    const query = queryExample ? `?${new URLSearchParams(queryExample as Record<string, string>)}` : '';
    const own = (bodyExample as { id?: string } | undefined)?.id ?? '';
    const ids: Record<string, string> = {
      '/recalls/{id}': EXAMPLES.jarsIn.rows[0].lot.id,
      '/season-plans/{id}': EXAMPLES.seasonPlan.id,
      '/recipes/{id}': EXAMPLES.recipeFor.recipe,
    };
    const address = path.replace('{id}', method === 'put' ? own : (ids[path] ?? own));
    if (path === '/kitchen/events') await server.fill(EXAMPLES.event.loadId, EXAMPLES.event.at);
    const reply = await server.call(method.toUpperCase(), address + query, bodyExample);
    // Without a backup, damage or a code, and on a real clock, these have nothing to do.
    const nothing = [
      ...['/restore', '/backups/{name}/restore', '/without-damaged', '/pair', '/clock', '/instruments/simulated'],
    ].includes(path);
    expect({ path, good: reply.status < 300 }).toEqual({ path, good: !nothing });
    if (method === 'post' && reply.status === 201 && path !== '/pairing-codes') {
      expect((await server.call('POST', path, bodyExample)).status).toBe(200);
    }
  }
  const struckOut = OPERATIONS.filter(({ method }) => method === 'delete');
  for (const { path } of struckOut) {
    await server.call('DELETE', path.replace('{id}', '0198f3a0-0000-7000-8000-00000000ffff'));
  }
  const unchecked = OPERATIONS.filter(
    ({ method, path }) => ![...repliesChecked].some((reply) => reply.startsWith(`${method} ${path} `)),
  );
  expect(unchecked.map(({ path }) => path)).toEqual(['/changes']);
});

test('a reply that the document does not promise fails the check', async () => {
  const { holdAgainstDocument } = await import('./openApiChecker');
  const { body } = await server.call(
    'GET',
    `/process?${new URLSearchParams({ ...EXAMPLES.question, altitudeFt: '500' })}`,
  );
  const hold =
    (changed: object, status = 200) =>
    () =>
      holdAgainstDocument({ method: 'GET', path: '/process', status, body: { ...body, ...changed } });
  expect(hold({})).not.toThrow();
  expect(hold({ minutes: '45' })).toThrow();
  expect(hold({ fee: 3 })).toThrow();
  expect(hold({ kind: 'refusal' })).toThrow();
  expect(hold({}, 418)).toThrow(/does not promise/);
});

/** Where an address comes in an order; what is not in it comes last. */
function placeIn(order: readonly string[], path: string): number {
  const place = order.indexOf(path);
  return place < 0 ? order.length : place;
}

interface Layer {
  readonly route?: { readonly path: string; readonly stack: readonly { readonly method: string }[] };
  readonly handle: { readonly stack?: Layer[] };
}
