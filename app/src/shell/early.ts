/**
 * What the page needs first is asked for before the app itself is read: a small script of its own, which runs while that is on its
 * way. What this browser keeps of the household is taken from its database; where it keeps nothing, the server is asked.
 */
export interface Early {
  /** The database's rows as they lie there; undefined where there is none yet. */
  readonly kept:
    | {
        readonly head: unknown;
        readonly names: readonly string[];
        readonly parts: readonly unknown[];
        readonly changes: readonly unknown[];
        readonly outbox: readonly unknown[];
        readonly aheadMs: unknown;
        readonly heardAt: unknown;
      }
    | undefined;
  /** The server's reply, and when it was asked for, where nothing was kept. */
  readonly asked: { readonly at: number; readonly reply: Promise<Response | undefined> } | undefined;
}

declare global {
  interface Window {
    hoddleEarly?: Promise<Early>;
  }
}

const STORES = ['parts', 'changes', 'outbox', 'facts'];

function readKept(): Promise<Early['kept']> {
  return new Promise((resolve) => {
    const nothing = () => resolve(undefined);
    try {
      const opening = indexedDB.open('hoddle');
      // There is none yet: the app makes it.
      opening.onupgradeneeded = () => opening.transaction?.abort();
      opening.onerror = nothing;
      opening.onblocked = nothing;
      opening.onsuccess = () => {
        const db = opening.result;
        const work = db.transaction(STORES);
        const all = (store: string) => work.objectStore(store).getAll() as IDBRequest<unknown[]>;
        const fact = (name: string) => work.objectStore('facts').get(name) as IDBRequest<unknown>;
        const names = work.objectStore('parts').getAllKeys();
        const [parts, changes, outbox] = [all('parts'), all('changes'), all('outbox')];
        const [head, aheadMs, heardAt] = [fact('household'), fact('aheadMs'), fact('heardAt')];
        work.onabort = nothing;
        work.oncomplete = () => {
          db.close();
          const rows = { parts: parts.result, changes: changes.result, outbox: outbox.result };
          const facts = { head: head.result, aheadMs: aheadMs.result, heardAt: heardAt.result };
          resolve({ ...rows, ...facts, names: names.result.map(String) });
        };
      };
    } catch {
      nothing();
    }
  });
}

if (typeof window !== 'undefined') {
  window.hoddleEarly = readKept().then((kept) => {
    if (kept?.head !== undefined) return { kept, asked: undefined };
    const reply = fetch('/api/state').catch(() => undefined);
    return { kept, asked: { at: Date.now(), reply } };
  });
}
