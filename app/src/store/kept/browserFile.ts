import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import { type HouseholdState } from '@hoddle/contract/householdState';
import { type StateChange } from '@hoddle/contract/stateChange';
import { type OutboxRow } from '../outbox/outboxRow';

/** What this browser keeps of the household, and what it has yet to tell. */
export interface BrowserSchema extends DBSchema {
  /** One row for each entry on its way. */
  outbox: { key: number; value: OutboxRow; indexes: { id: string } };
  /** The household as the server told it, part by part, as of `facts.household`. */
  parts: { key: string; value: HouseholdState[keyof HouseholdState] };
  /** What changed since, by revision. */
  changes: { key: number; value: StateChange };
  facts: { key: string; value: unknown };
}

export type BrowserFile = IDBPDatabase<BrowserSchema>;

/** A browser whose own database does not open in this time keeps nothing: nobody waits longer for the kitchen's clock. */
const PATIENCE_MS = 3_000;

let opened: Promise<BrowserFile | undefined> | undefined;
let isOpen = false;

/** This browser's own database, opened once; undefined where it keeps nothing (a private window, a disk that is full). */
export function browserFile(): Promise<BrowserFile | undefined> {
  opened ??= typeof indexedDB === 'undefined' ? Promise.resolve(undefined) : open();
  return opened;
}

/** Whether it could be opened: known once it was asked for. */
export function doesKeep(): boolean {
  return isOpen;
}

/** Whether there is one at all; else what is entered counts at once. */
export function mayKeep(): boolean {
  return typeof indexedDB !== 'undefined';
}

function open(): Promise<BrowserFile | undefined> {
  // Where it is forbidden some browsers throw at the asking.
  const file = Promise.resolve().then(openIt);
  const late = new Promise<undefined>((resolve) => setTimeout(() => resolve(undefined), PATIENCE_MS));
  return Promise.race([file, late])
    .catch(() => undefined)
    .then((found) => {
      isOpen = found !== undefined;
      return found;
    });
}

function openIt(): Promise<BrowserFile> {
  return openDB<BrowserSchema>('hoddle', 1, {
    upgrade(db) {
      db.createObjectStore('outbox', { keyPath: 'seq', autoIncrement: true }).createIndex('id', 'id', { unique: true });
      db.createObjectStore('parts');
      db.createObjectStore('changes', { keyPath: 'revision' });
      db.createObjectStore('facts');
    },
    // A page of a newer version wants it: it must not wait for this one.
    blocking: (_from, _to, event) => (event.target as IDBDatabase).close(),
    terminated: () => (opened = undefined),
  });
}

/** Reads one fact, undefined where it is not known. */
export async function readFact<Fact>(name: string): Promise<Fact | undefined> {
  const file = await browserFile();
  return (await file?.get('facts', name).catch(() => undefined)) as Fact | undefined;
}

export async function keepFact(name: string, fact: unknown): Promise<void> {
  const file = await browserFile();
  await file?.put('facts', fact, name).catch(() => undefined);
}
