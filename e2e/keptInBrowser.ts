import { type Page } from '@playwright/test';
import { type StateChange, withChange } from '@hoddle/contract/stateChange';

/** What this browser keeps for a page opened without signal: the household, and what waits to be sent. */
export async function keptInBrowser(page: Page): Promise<{ household: object; waiting: readonly object[] }> {
  const { parts, changes, waiting } = await page.evaluate(
    () =>
      new Promise<{ parts: [string, unknown][]; changes: unknown[]; waiting: object[] }>((read) => {
        const opening = indexedDB.open('hoddle');
        opening.onsuccess = () => {
          const work = opening.result.transaction(['parts', 'changes', 'outbox']);
          const of = (store: string) => work.objectStore(store).getAll();
          const names = work.objectStore('parts').getAllKeys();
          const [values, later, rows] = [of('parts'), of('changes'), of('outbox')];
          work.oncomplete = () => {
            opening.result.close();
            const own = names.result.map((name, i): [string, unknown] => [String(name), values.result[i]]);
            read({ parts: own, changes: later.result, waiting: rows.result });
          };
        };
      }),
  );
  const household = (changes as StateChange[]).reduce(
    (state, change) => withChange(state, change),
    Object.fromEntries(parts),
  );
  return { household, waiting };
}
