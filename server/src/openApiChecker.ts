import Ajv2020 from 'ajv/dist/2020';
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

const paths = openApiDocument().paths as Record<string, Record<string, OperationObject>>;
const ajv = new Ajv2020({ strict: false, allErrors: true });
addFormats(ajv);
ajv.addSchema({ ...openApiDocument(), $id: 'api' });

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
  repliesChecked.add(`${method.toLowerCase()} ${known} ${status}`);
  const schema = promised.content?.['application/json']?.schema;
  if (!schema) return;
  const absolute = JSON.parse(JSON.stringify(schema).replaceAll('"#/', '"api#/')) as object;
  const validate = ajv.compile(absolute);
  if (!validate(body)) throw new Error(`${method} ${path} ${status}: ${ajv.errorsText(validate.errors)}`);
}
