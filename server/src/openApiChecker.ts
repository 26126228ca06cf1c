import Ajv2020, { type ValidateFunction } from 'ajv/dist/2020';
import addFormats from 'ajv-formats';
import { openApiDocument } from '@hoddle/contract/openapi/openApiDocument';

interface Reply {
  readonly method: string;
  readonly path: string;
  readonly status: number;
  readonly body: unknown;
}

interface OperationObject {
  readonly responses: Readonly<Record<string, { readonly content?: Readonly<Record<string, { schema: object }>> }>>;
}

const document = openApiDocument();
const paths = document.paths as Record<string, Record<string, OperationObject>>;
// Making its checkers faster takes longer here than they then save.
const ajv = new Ajv2020({ strict: false, allErrors: true, code: { optimize: false } });
addFormats(ajv);
ajv.addSchema({ ...document, $id: 'api' });

/** By "get /process 200", what its body is held against, or nothing where no JSON is promised. */
const checkers = new Map<string, ValidateFunction | undefined>();

/** Operations whose replies were held against the document so far: "get /process 200". */
export const repliesChecked = new Set<string>();

/**
 * Holds a reply against the OpenAPI document, with a validator that is not the one the server parses with.
 *
 * @throws Error for a status or a body that the document does not promise
 */
export function holdAgainstDocument({ method, path, status, body }: Reply): void {
  const address = path.split('?')[0] ?? '';
  // An address that stands there word for word is meant before one with a part left open.
  const known = paths[address]
    ? address
    : Object.keys(paths).find((pattern) => new RegExp(`^${pattern.replace(/\{\w+\}/g, '[^/]+')}$`).test(address));
  const operation = known && paths[known]?.[method.toLowerCase()];
  if (!operation) {
    if (status === 404) return;
    throw new Error(`the document does not have ${method} ${address}`);
  }
  const promised = operation.responses[status];
  if (!promised) throw new Error(`the document does not promise ${status} for ${method} ${address}`);
  const reply = `${method.toLowerCase()} ${known} ${status}`;
  repliesChecked.add(reply);
  if (!checkers.has(reply)) checkers.set(reply, checkerOf(promised.content?.['application/json']?.schema));
  const validate = checkers.get(reply);
  if (validate && !validate(body)) throw new Error(`${method} ${path} ${status}: ${ajv.errorsText(validate.errors)}`);
}

function checkerOf(schema: object | undefined): ValidateFunction | undefined {
  if (!schema) return undefined;
  return ajv.compile(JSON.parse(JSON.stringify(schema).replaceAll('"#/', '"api#/')) as object);
}
