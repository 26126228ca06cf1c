import { toJsonSchema } from '@valibot/to-json-schema';
import { ApiError } from '../apiError';
import { type AnySchema, type Operation } from './operation';
import { OPERATIONS } from './operations';

type Json = Record<string, unknown>;

/** Said once for every operation that may answer so. */
const ERROR_WORDS: Readonly<Record<number, string>> = {
  400: 'Something in the request cannot be read; `fields` says what.',
  401: 'This device was never let in.',
  403: 'Not from there, or not with this role.',
  404: 'There is no such thing.',
  409: 'It does not fit what is there.',
  413: 'More than is taken at once.',
  415: 'Not application/json.',
  421: 'Asked under a name that is none of the server’s.',
  422: 'Read, and refused: the message says why.',
  429: 'Too much, or too many wrong tries: later again.',
  503: 'The household’s file cannot be written; reading goes on.',
};

/** The API as an OpenAPI 3.1 document, made from the Valibot schemas that the server parses with. */
export function openApiDocument(): Json {
  const paths: Record<string, Json> = {};
  for (const operation of OPERATIONS) {
    const path = (paths[operation.path] ??= {});
    path[operation.method] = operationObject(operation);
  }
  return {
    openapi: '3.1.0',
    info: {
      title: 'Hoddle',
      version: '1',
      summary: 'Tested canning processes, jar estimates and the household of a homestead preserver.',
      description:
        'A processing time is looked up in a tested table or refused; it is never computed. Figures are as recalled until the household has held them against the page. Your local extension office and codes come first.',
    },
    servers: [{ url: '/api' }],
    paths,
    components: { schemas: { Error: jsonSchema(ApiError, 'output') } },
  };
}

/** What every operation may answer with besides its own: who asks, from where, how often, and whether anything is kept. */
function statusesOf({
  method,
  least,
  body,
  errors,
}: Pick<Operation, 'method' | 'least' | 'body' | 'errors'>): number[] {
  const common = [...(least === 'anyone' ? [] : [401]), 403, 421, 429];
  return [
    ...new Set([...errors, ...common, ...(body ? [413, 415] : []), ...(method === 'get' ? [] : [415, 503])]),
  ].sort();
}

function operationObject({
  method,
  path,
  summary,
  least,
  query,
  queryExample,
  body,
  bodyExample,
  ...rest
}: Operation): Json {
  const parameters = [
    ...pathParameters(path, rest.namedId),
    ...(query ? queryParameters(query, queryExample ?? {}) : []),
  ];
  const good = Object.entries(rest.replies).map(([status, schema]) => [status, reply(schema, rest.replyExample)]);
  const errors = statusesOf({ method, least, body, errors: rest.errors }).map((status) => [status, errorReply(status)]);
  return {
    operationId: `${method}${path.replace(/[^a-z]+([a-z]?)/gi, (_, letter: string) => letter.toUpperCase())}`,
    summary,
    'x-least-role': least ?? (method === 'get' ? 'looker' : 'cook'),
    ...(parameters.length > 0 && { parameters }),
    ...(body && {
      requestBody: {
        required: true,
        content: { 'application/json': { schema: jsonSchema(body, 'input'), example: bodyExample } },
      },
    }),
    responses: Object.fromEntries([...errors, ...good]),
  };
}

function pathParameters(path: string, namedId?: true): Json[] {
  return [...path.matchAll(/\{(\w+)\}/g)].map(([, name]) => ({
    name,
    in: 'path',
    required: true,
    schema: { type: 'string', ...(name === 'id' && !namedId && { format: 'uuid' }) },
  }));
}

/** A query is text on the wire; its parameters are told as what the text is read as. */
function queryParameters(query: AnySchema, example: Readonly<Record<string, string | number>>): Json[] {
  const { properties = {}, required = [] } = jsonSchema(query, 'output') as { properties?: Json; required?: string[] };
  return Object.entries(properties).map(([name, schema]) => ({
    name,
    in: 'query',
    required: required.includes(name),
    schema,
    ...(example[name] !== undefined && { example: example[name] }),
  }));
}

function reply(schema: AnySchema | null, example: unknown): Json {
  if (!schema) return { description: 'Done, or it was not there.' };
  const content = { schema: jsonSchema(schema, 'output'), ...(example !== undefined && { example }) };
  return { description: 'The answer.', content: { 'application/json': content } };
}

function errorReply(status: number): Json {
  return {
    description: ERROR_WORDS[status] ?? 'An error.',
    content: { 'application/json': { schema: { $ref: '#/components/schemas/Error' } } },
  };
}

/** Checks that JSON Schema cannot say (a sum, a comparison of two fields) are left out; the server makes them all. */
function jsonSchema(schema: AnySchema, typeMode: 'input' | 'output'): Json {
  const { $schema: _, ...json } = toJsonSchema(schema, { target: 'draft-2020-12', typeMode, errorMode: 'ignore' });
  return json;
}
