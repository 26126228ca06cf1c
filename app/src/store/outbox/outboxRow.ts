import { type StateTag } from '../api';
import { type Write } from '../write';

/** One entry of this browser on its way to the server. */
export interface OutboxRow {
  /** Its place in the order in which things were entered, in whichever tab. */
  readonly seq: number;
  readonly id: string;
  readonly write: Write;
  /** Epoch milliseconds of this device. */
  readonly enteredAt: number;
  /** How often the server was there and could not keep it, why, and when it is tried again. */
  readonly tries: number;
  readonly trouble?: string;
  readonly nextAt?: number;
  /** The server said no: it stays until somebody has dealt with it. */
  readonly refused?: Refusal;
  /** The server has it, from this state on; it goes once this browser knows that state. */
  readonly sent?: StateTag;
}

export interface Refusal {
  readonly code: string;
  readonly message: string;
  readonly at: number;
}

export function isWaiting({ refused, sent }: OutboxRow): boolean {
  return refused === undefined && sent === undefined;
}

/** A state of the server as this browser knows it. */
export interface Known {
  readonly tag: StateTag | undefined;
  /** Entries that were sent before all of it was asked for. */
  readonly covered: ReadonlySet<string>;
}

/** Whether what was sent is in what is known: by its revision, or, of another opening of the file, because all was read since. */
export function isIn({ id, sent }: OutboxRow, { tag, covered }: Known): boolean {
  if (sent === undefined) return false;
  return (tag?.epoch === sent.epoch && tag.revision >= sent.revision) || covered.has(id);
}
