import { type Role } from '../device';
import { type Operation } from './operation';
import { OPERATIONS } from './operations';

const PATTERNS = OPERATIONS.map((operation) => ({
  operation,
  pattern: new RegExp(`^${operation.path.replace(/[.]/g, '\\.').replace(/\{(\w+)\}/g, '(?<$1>[^/]+)')}/?$`, 'i'),
}));

/**
 * The operation that an address of the API stands for.
 *
 * @param path below `/api`, encoded as it was sent
 */
export function findOperation(
  method: string,
  path: string,
): { readonly operation: Operation; readonly params: Readonly<Record<string, string>> } | undefined {
  const asked = method === 'HEAD' ? 'get' : method.toLowerCase();
  // An address that stands there word for word is meant before one with a part left open.
  const exact = PATTERNS.find(({ operation }) => operation.method === asked && operation.path === path);
  if (exact) return { operation: exact.operation, params: {} };
  for (const { operation, pattern } of PATTERNS) {
    const found = operation.method === asked ? pattern.exec(path) : null;
    if (found) return { operation, params: { ...found.groups } };
  }
  return undefined;
}

/**
 * What somebody must be at least to do what an address of the API does: looking is for all who were let in, writing for who
 * works, unless the operation says so. What is no address of it is an owner's: nothing is open because nobody thought of it.
 */
export function leastRole(method: string, path: string): Role | 'anyone' {
  const found = findOperation(method, path);
  if (!found) return 'owner';
  return found.operation.least ?? (found.operation.method === 'get' ? 'looker' : 'cook');
}
