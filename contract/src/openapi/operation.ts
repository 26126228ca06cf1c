import { type BaseIssue, type BaseSchema } from 'valibot';
import { type Role } from '../device';

export type AnySchema = BaseSchema<unknown, unknown, BaseIssue<unknown>>;

/** One method at one address: what it takes and what it answers, by status. */
export interface Operation {
  readonly method: 'get' | 'post' | 'put' | 'delete';
  /** As OpenAPI writes it: `/picks/{id}`. */
  readonly path: string;
  readonly summary: string;
  /** Its id is a name of the handbook, not one that a client made. */
  readonly namedId?: true;
  /** Who may at least: looking is for every device that was let in and writing for cooks, unless said. */
  readonly least?: Role | 'anyone';
  /** An object schema; each entry is a parameter of the query. */
  readonly query?: AnySchema;
  readonly queryExample?: Readonly<Record<string, string | number>>;
  readonly body?: AnySchema;
  readonly bodyExample?: unknown;
  /** Schema of each good reply; null for one without a body. */
  readonly replies: Readonly<Record<number, AnySchema | null>>;
  readonly replyExample?: unknown;
  /** Statuses of the API's errors that it may answer with. */
  readonly errors: readonly number[];
}

/** A write the client made the id for: 201 when it is new, 200 when it was there already. */
export function keptOnce(
  path: string,
  summary: string,
  body: AnySchema,
  example: unknown,
  errors: number[],
): Operation {
  return {
    method: 'post',
    path,
    summary,
    body,
    bodyExample: example,
    replies: { 200: body, 201: body },
    replyExample: example,
    errors: [400, 409, ...errors],
  };
}

/** A write of a thing under its own id, as often as it is mended. */
export function kept(path: string, summary: string, body: AnySchema, example: unknown, errors: number[]): Operation {
  return {
    method: 'put',
    path,
    summary,
    body,
    bodyExample: example,
    replies: { 200: body },
    replyExample: example,
    errors: [400, ...errors],
  };
}

export function struckOut(path: string, summary: string, errors: number[] = [], least?: Operation['least']): Operation {
  return { method: 'delete', path, summary, replies: { 204: null }, errors: [400, ...errors], ...(least && { least }) };
}
