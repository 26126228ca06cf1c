import 'fake-indexeddb/auto';
import { type HouseholdState } from '@hoddle/contract/householdState';
import { type StateChange, withChange } from '@hoddle/contract/stateChange';
import fc from 'fast-check';
import { EMPTY_HOUSEHOLD } from '../emptyHousehold';
import type * as Outbox from '../outbox/outboxFile';
import type * as KeptHousehold from './keptHousehold';

type Kept = typeof KeptHousehold;

/** A tab: what it knows of the disk is its own. */
function openTab(): Kept {
  jest.resetModules();
  return jest.requireActual<Kept>('./keptHousehold');
}

const NONE = new Set<string>();
const rowOf = (id: number) => ({ id: `r${id}`, at: id });

/** What may happen: a part changes, all is read anew, the server begins anew, a tab is another. */
const step = fc.oneof(
  fc.record({
    kind: fc.constant('change' as const),
    tab: fc.nat(1),
    part: fc.constantFrom('picks', 'lots'),
    id: fc.nat(9),
  }),
  fc.record({ kind: fc.constant('whole' as const), tab: fc.nat(1), part: fc.constant('goals'), id: fc.nat(9) }),
  fc.record({ kind: fc.constant('restart' as const), tab: fc.nat(1), part: fc.constant(''), id: fc.nat(9) }),
  fc.record({ kind: fc.constant('reopen' as const), tab: fc.nat(1), part: fc.constant(''), id: fc.nat(9) }),
);

test('whatever two tabs keep in whatever order, what is read is a state that the server told, and the newest of those kept', async () => {
  await fc.assert(
    fc.asyncProperty(fc.array(step, { minLength: 5, maxLength: 40 }), async (steps) => {
      globalThis.indexedDB = new IDBFactory();
      const tabs = [openTab(), openTab()];
      let [epoch, revision] = ['e', 1];
      let state: HouseholdState = EMPTY_HOUSEHOLD;
      const told = new Map<string, HouseholdState>();
      const tell = () => void told.set(`${epoch}.${revision}`, state);
      tell();
      await tabs[0]?.keepHousehold(state, { tag: { epoch, revision }, covered: NONE });
      let newest = `${epoch}.${revision}`;
      for (const { kind, tab, part, id } of steps) {
        if (kind === 'reopen') {
          tabs[tab] = openTab();
          continue;
        }
        if (kind === 'restart') {
          epoch += 'x';
          tell();
          continue;
        }
        const change: StateChange = {
          ...{ epoch, from: revision, revision: revision + 1 },
          ...(kind === 'change' && {
            rows: { [part]: { put: [{ row: rowOf(id), after: null }], gone: [`r${id + 1}`] } },
          }),
          ...(kind === 'whole' && { parts: { [part]: [{ product: `p${id}` }] } }),
        };
        state = withChange(state, change);
        revision += 1;
        tell();
        const known = { tag: { epoch, revision }, covered: NONE };
        if (kind === 'change') await tabs[tab]?.keepChanges([change], state, known);
        else await tabs[tab]?.keepHousehold(state, known);
        newest = `${epoch}.${revision}`;
      }
      const kept = await openTab().readKeptHousehold();
      const tag = `${kept?.tag?.epoch}.${kept?.tag?.revision}`;
      expect(kept?.state).toEqual(told.get(tag));
      expect(tag).toBe(newest);
    }),
    { numRuns: 60, seed: 20261129 },
  );
});

test('an entry leaves the outbox in the same stroke in which the state that has it is kept, and not before', async () => {
  const { keepHousehold } = openTab();
  const { addToOutbox, changeInOutbox, readOutbox } = jest.requireActual<typeof Outbox>('../outbox/outboxFile');
  await addToOutbox({ id: 'e', write: { kind: 'batch-struck', batchId: 'b' }, enteredAt: 0, tries: 0 });
  const [row] = await readOutbox();
  if (!row) throw new Error('not kept');
  await changeInOutbox(row.seq, (now) => ({ ...now, sent: { epoch: 'e', revision: 7 } }));
  await keepHousehold(EMPTY_HOUSEHOLD, { tag: { epoch: 'e', revision: 6 }, covered: NONE });
  expect(await readOutbox()).toHaveLength(1);
  await keepHousehold(EMPTY_HOUSEHOLD, { tag: { epoch: 'e', revision: 7 }, covered: NONE });
  expect(await readOutbox()).toEqual([]);
});
