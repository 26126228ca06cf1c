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
