import { randomUUID } from 'node:crypto';
import { isDeepStrictEqual } from 'node:util';
import { type StateChange } from '@hoddle/contract/stateChange';
import { type Clock } from '../clock';
import { type PantryBook } from './pantryBook';
import { type Rows, type TableName } from './rowStore';
import { householdRow } from './householdRow';
import { type Part, PARTS } from './stateParts';

const HOUR_MS = 60 * 60_000;

/** So many changes are remembered for screens that ask what they have missed; older ones read all. */
const REMEMBERED = 500;

/** What every screen is told, at one revision. */
export interface Snapshot {
  readonly epoch: string;
  readonly revision: number;
  readonly parts: Readonly<Record<Part, unknown>>;
}

type Teller = (change: StateChange) => void;

/**
 * What every screen is told of the household, kept part by part: a part is made anew only when a table it is made of was
 * written, and only once somebody wants to know; what has changed in it goes out as rows, not as the whole.
 */
export class StateBook {
  private rows: Rows;
  private revision = 0;
  /** Of this opening of the file: what another one told cannot be gone on from. */
  private epoch = randomUUID();
  private snapshot: Snapshot | undefined;
  private hour = -1;
  private dirty = new Set<Part>(Object.keys(PARTS) as Part[]);
  private changes: StateChange[] = [];
  private readonly tellers = new Set<Teller>();
  /** Screens that wrote since the snapshot was made; undefined for a write of none. */
  private readonly writers = new Set<string | undefined>();
  private due = false;

  constructor(
    rows: Rows,
    private readonly pantry: PantryBook,
    private readonly clock: Clock,
  ) {
    this.rows = rows;
  }

  /** Rows as they stand in the file. */
  get all(): Rows {
    return this.rows;
  }

  /** The household's time. */
  now(): number {
    return this.clock.now(householdRow(this.rows).demoOffsetMs);
  }

  /** Which state has all in it that is written by now: epoch and revision, as `ETag` has them. */
  get tag(): string {
    return `${this.epoch}.${this.revision}`;
  }

  /** Calls at every change, soon after it. @returns what ends it */
  listen(tell: Teller): () => void {
    // What is told first goes on from what stands now.
    void this.told;
    this.tellers.add(tell);
    return () => this.tellers.delete(tell);
  }

  /** Takes what a transaction has written, once it is committed. @param by the screen that wrote */
  take(next: { rows: Rows; written: readonly TableName[] }, by?: string): void {
    if (next.written.length === 0) return;
    this.rows = next.rows;
    this.soil(({ of }) => of.some((table) => next.written.includes(table)));
    this.revision += 1;
    this.writers.add(by);
    this.tellSoon();
  }

  /** Takes a household put in the place of the one before: nobody can go on from what they know. */
  replace(rows: Rows): void {
    this.rows = rows;
    this.epoch = randomUUID();
    this.revision += 1;
    this.soil(() => true);
    this.snapshot = undefined;
    this.changes = [];
    const { epoch, revision } = this;
    for (const tell of this.tellers) tell({ epoch, from: revision, revision, whole: true });
  }

  /** What every screen is told now. */
  get told(): Snapshot {
    const hour = Math.floor(this.now() / HOUR_MS);
    const before = this.snapshot;
    if (hour !== this.hour) this.soil(({ ages }) => ages === true);
    this.hour = hour;
    if (before && this.dirty.size === 0 && before.revision === this.revision) return before;
    const parts = this.make(before?.parts ?? {});
    const isAged = before?.revision === this.revision;
    if (before && isAged && isSameParts(before.parts, parts)) return before;
    // Nothing was written, but something has aged: that counts like a write, so that nobody misses it.
    if (isAged) this.revision += 1;
    const { epoch, revision } = this;
    this.snapshot = { epoch, revision, parts };
    if (before) this.tell(before, this.snapshot);
    this.writers.clear();
    return this.snapshot;
  }

  /** What has changed since a revision, or undefined where that is not known any more. */
  since(epoch: string, revision: number): readonly StateChange[] | undefined {
    if (epoch !== this.epoch || revision > this.told.revision) return undefined;
    const later = this.changes.filter((change) => change.revision > revision);
    if (later.length === 0) return revision === this.revision ? [] : undefined;
    return later[0]?.from === revision ? later : undefined;
  }

  private soil(isSo: (rule: (typeof PARTS)[Part]) => boolean): void {
    for (const part of Object.keys(PARTS) as Part[]) if (isSo(PARTS[part])) this.dirty.add(part);
  }

  private make(known: Partial<Snapshot['parts']>): Snapshot['parts'] {
    const ground = { rows: this.rows, pantry: this.pantry, now: this.now() };
    const made = [...this.dirty].map((part) => {
      const kept = known[part];
      const fresh = PARTS[part].make(ground);
      return [part, kept !== undefined && isDeepStrictEqual(kept, fresh) ? kept : fresh] as const;
    });
    this.dirty.clear();
    return { ...known, ...Object.fromEntries(made) } as Snapshot['parts'];
  }

  /** Writes that come at once are told at once. */
  private tellSoon(): void {
    if (this.tellers.size === 0 || this.due) return;
    this.due = true;
    setImmediate(() => {
      this.due = false;
      void this.told;
    });
  }

  private tell(before: Snapshot, after: Snapshot): void {
    const [by, ...others] = [...this.writers];
    const change = changeOf(before, after, others.length === 0 ? by : undefined);
    this.changes = [...this.changes, change].slice(-REMEMBERED);
    for (const tell of this.tellers) tell(change);
  }
}

function isSameParts(before: Snapshot['parts'], after: Snapshot['parts']): boolean {
  return (Object.keys(after) as Part[]).every((part) => before[part] === after[part]);
}

function changeOf(before: Snapshot, after: Snapshot, by?: string): StateChange {
  const rows: NonNullable<StateChange['rows']> = {};
  const parts: NonNullable<StateChange['parts']> = {};
  for (const part of Object.keys(after.parts) as Part[]) {
    const [old, fresh] = [before.parts[part], after.parts[part]];
    if (old === fresh) continue;
    if (areKnown(old) && areKnown(fresh)) rows[part] = rowsChanged(old, fresh);
    else parts[part] = fresh;
  }
  const { epoch, revision } = after;
  return { epoch, from: before.revision, revision, ...(by !== undefined && { by }), rows, parts };
}

type Known = { readonly id: string }[];

/** Rows with an id each can be told one by one. A recipe has a row for each of its pages: those are told as a whole. */
function areKnown(part: unknown): part is Known {
  return Array.isArray(part) && part.every((row: object) => 'id' in row && !('revision' in row));
}

function rowsChanged(old: Known, fresh: Known) {
  const known = new Map(old.map((row) => [row.id, row]));
  const there = new Set(fresh.map(({ id }) => id));
  const put = fresh.flatMap((row, place) => {
    const kept = known.get(row.id);
    if (kept === row || isDeepStrictEqual(kept, row)) return [];
    return [{ row, after: fresh[place - 1]?.id ?? null }];
  });
  return { gone: old.filter(({ id }) => !there.has(id)).map(({ id }) => id), put };
}
