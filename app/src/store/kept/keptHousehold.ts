import { type HouseholdState } from '@hoddle/contract/householdState';
import { type StateChange, withChange } from '@hoddle/contract/stateChange';
import { type StateTag } from '../api';
import { EMPTY_HOUSEHOLD } from '../emptyHousehold';
import { isIn, type Known, type OutboxRow } from '../outbox/outboxRow';
import { dropFromPage } from '../outbox/outboxFile';
import { type Early } from '@/shell/early';
import { broughtUp } from './bringUp';
import { browserFile, type BrowserFile } from './browserFile';

/** How a page keeps the household. One more when what an older one kept must be brought up first. */
const LAYOUT = 2;

/** So many changes behind the parts, and the parts are written anew. */
const MOST_CHANGES = 200;

/** Of which state the parts are. */
interface Head {
  readonly layout: number;
  readonly tag: StateTag | null;
}

export interface KeptHousehold {
  readonly state: HouseholdState;
  /** Undefined where a page of an older version kept it: all of it is asked for anew. */
  readonly tag: StateTag | undefined;
}

type Rows = Pick<NonNullable<Early['kept']>, 'head' | 'names' | 'parts' | 'changes'>;

/** What lies in the parts as far as this page knows: only what is another is written. */
let onDisk: { readonly tag: StateTag | undefined; readonly state: HouseholdState } | undefined;

/**
 * What this browser knew of the household, brought up to date by the changes it has kept since, or undefined where it knew
 * nothing. What cannot be read is thrown away: the server has it.
 */
export async function readKeptHousehold(): Promise<KeptHousehold | undefined> {
  const file = await browserFile();
  if (!file) return undefined;
  const work = file.transaction(['parts', 'changes', 'facts']);
  const [head, names, parts, changes] = await Promise.all([
    work.objectStore('facts').get('household'),
    work.objectStore('parts').getAllKeys(),
    work.objectStore('parts').getAll(),
    work.objectStore('changes').getAll(),
  ]);
  return asKept({ head, names, parts, changes });
}

/** The rows of the database as a household; see {@link readKeptHousehold}. */
export async function asKept({
  head: told,
  names,
  parts: values,
  changes: later,
}: Rows): Promise<KeptHousehold | undefined> {
  const [head, changes] = [told as Head | undefined, later as StateChange[]];
  if (!head) return undefined;
  try {
    const parts = Object.fromEntries(names.map((name, i) => [name, values[i]])) as unknown as HouseholdState;
    if (head.layout !== LAYOUT) {
      // A newer page's is not for this one to read.
      if (head.layout > LAYOUT) return undefined;
      return { state: broughtUp(parts), tag: undefined };
    }
    if (!isWhole(parts)) throw new Error('parts are missing');
    onDisk = { tag: head.tag ?? undefined, state: parts };
    return laidUpon(parts, head.tag, changes);
  } catch {
    await forgetHousehold();
    return undefined;
  }
}

/** The parts with what has changed since, as far as the changes go on from each other. */
function laidUpon(parts: HouseholdState, tag: StateTag | null, changes: readonly StateChange[]): KeptHousehold {
  let [state, at] = [parts, tag ?? undefined];
  for (const change of changes) {
    if (at === undefined || change.epoch !== at.epoch || change.from !== at.revision || change.whole) continue;
    state = withChange(state, change);
    at = { epoch: change.epoch, revision: change.revision };
  }
  return { state, tag: at };
}

/** Whether every part is there and of its kind; what is in them was read by its schema when it came. */
function isWhole(parts: HouseholdState): boolean {
  return (Object.keys(EMPTY_HOUSEHOLD) as (keyof HouseholdState)[]).every((name) => {
    const [part, usual] = [parts[name], EMPTY_HOUSEHOLD[name]];
    if (Array.isArray(usual))
      return Array.isArray(part) && part.every((row) => typeof row === 'object' && row !== null);
    if (usual === null || name === 'demoOffsetMs') return part === null || typeof part === 'number';
    return typeof part === typeof usual && part !== null;
  });
}

/** Keeps all of what the server told; what was sent before and is in it leaves the outbox in the same stroke. */
export async function keepHousehold(state: HouseholdState, known: Known): Promise<void> {
  const { tag } = known;
  await inOneStroke(known, async (work) => {
    const head: Head = { layout: LAYOUT, tag: tag ?? null };
    const before = (await work.objectStore('facts').get('household')) as Head | undefined;
    // Another tab may have kept a newer one, or parts that are not those of this page.
    if (tag && before?.tag?.epoch === tag.epoch && before.tag.revision > tag.revision) return;
    const isAsKnown = onDisk !== undefined && isSame(before?.tag, onDisk.tag);
    const names = Object.keys(state) as (keyof HouseholdState)[];
    const other = isAsKnown ? names.filter((name) => state[name] !== onDisk?.state[name]) : names;
    for (const name of other) void work.objectStore('parts').put(state[name], name);
    void work.objectStore('changes').clear();
    await work.objectStore('facts').put(head, 'household');
    onDisk = { tag, state };
  });
}

/**
 * Keeps what has changed: a tap costs the rows it changed, not the household.
 *
 * @param state with the changes in it
 */
export async function keepChanges(changes: readonly StateChange[], state: HouseholdState, known: Known): Promise<void> {
  let many = false;
  await inOneStroke(known, async (work) => {
    const before = (await work.objectStore('facts').get('household')) as Head | undefined;
    many = before?.tag?.epoch !== known.tag?.epoch;
    if (many) return;
    for (const change of changes) void work.objectStore('changes').put(change);
    many = (await work.objectStore('changes').count()) > MOST_CHANGES;
  });
  if (many) await keepHousehold(state, known);
}

type Stores = ['parts', 'changes', 'facts', 'outbox'];
type Work = ReturnType<typeof begin>;

function begin(file: BrowserFile) {
  const stores: Stores = ['parts', 'changes', 'facts', 'outbox'];
  return file.transaction(stores, 'readwrite');
}

async function inOneStroke(known: Known, keep: (work: Work) => Promise<void>): Promise<void> {
  const isDone = (row: OutboxRow) => isIn(row, known);
  const file = await browserFile();
  try {
    if (!file) return;
    const work = begin(file);
    await keep(work);
    for (const row of await work.objectStore('outbox').getAll()) {
      if (isDone(row)) void work.objectStore('outbox').delete(row.seq);
    }
    await work.done;
  } catch {
    // A browser that keeps nothing still shows what the server tells.
    onDisk = undefined;
  } finally {
    dropFromPage(isDone);
  }
}

/** Forgets what was known of the household; what is on its way stays. */
export async function forgetHousehold(): Promise<void> {
  onDisk = undefined;
  const file = await browserFile();
  const work = file && begin(file);
  if (!work) return;
  void work.objectStore('parts').clear();
  void work.objectStore('changes').clear();
  void work.objectStore('facts').delete('household');
  await work.done.catch(() => undefined);
}

function isSame(a: StateTag | null | undefined, b: StateTag | undefined): boolean {
  return a != null && a.epoch === b?.epoch && a.revision === b.revision;
}
