import { type Batch } from '../day/batch';
import { type PickUse } from '../harvest/pick';
import { type DayEvent, standing } from './dayEvent';
import { type KitchenEvent } from './kitchenEvent';

type Change = Extract<DayEvent, { type: 'loads-changed' }>;

/**
 * The batches as they stand: loads changed on the day (more jars, fewer, a product dropped) as they were told last, fruit that
 * was added, another card. A load that went into a canner stays, whoever dropped it and when; a batch of which no load is
 * left is gone, and its produce on hand again.
 */
export function batchesNow(
  batches: readonly Batch[],
  dayEvents: readonly DayEvent[],
  events: readonly KitchenEvent[],
): Batch[] {
  const told = new Map<string, DayEvent[]>();
  for (const event of standing(dayEvents)) {
    if (event.type !== 'loads-changed' && event.type !== 'produce-added' && event.type !== 'recipe-changed') continue;
    told.set(event.batchId, [...(told.get(event.batchId) ?? []), event]);
  }
  if (told.size === 0) return [...batches];
  const begun = new Set(events.flatMap(({ type, loadId }) => (type === 'load-started' ? [loadId] : [])));
  return batches.flatMap((batch) => {
    const own = told.get(batch.id);
    return own ? batchNow(batch, own, begun) : [batch];
  });
}

function batchNow(batch: Batch, told: readonly DayEvent[], begun: ReadonlySet<string>): Batch[] {
  const changes = told.filter((event): event is Change => event.type === 'loads-changed');
  const change = changes.at(-1);
  const loads = change ? loadsNow(batch, changes, change, begun) : batch.loads;
  if (loads.length === 0) return [];
  const part = change?.produceUsed ?? 1;
  const added = told.flatMap((event) => (event.type === 'produce-added' ? [event.use] : []));
  return [{ ...withRecipe(batch, told), uses: withAdded(batch.uses, part, added), loads }];
}

function loadsNow(batch: Batch, changes: readonly Change[], last: Change, begun: ReadonlySet<string>): Batch['loads'] {
  // A load that one change brought and the next one leaves out may be in the canner by now.
  const known = new Map([...changes.flatMap(({ loads }) => loads), ...batch.loads].map((load) => [load.id, load]));
  const inCanner = [...known.values()].filter(({ id }) => begun.has(id));
  const others = last.loads.filter(({ id }) => !inCanner.some((load) => load.id === id));
  return [...inCanner, ...others].sort((a, b) => a.number - b.number);
}

/** The part that is used of what was reserved, and all that was added; one use for each pick. */
function withAdded(uses: readonly PickUse[], part: number, added: readonly PickUse[]): PickUse[] {
  const all = new Map(
    uses.map((use) => [use.pickId, { ...use, massKg: use.massKg * part, softKg: use.softKg * part }]),
  );
  for (const use of added) {
    const before = all.get(use.pickId);
    all.set(use.pickId, {
      ...use,
      massKg: use.massKg + (before?.massKg ?? 0),
      softKg: use.softKg + (before?.softKg ?? 0),
    });
  }
  return [...all.values()];
}

function withRecipe(batch: Batch, told: readonly DayEvent[]): Batch {
  const change = told.findLast((event) => event.type === 'recipe-changed');
  if (change?.type !== 'recipe-changed') return batch;
  const { product, recipe, pack, processMinutes, pressurePsi } = change;
  const { pressurePsi: _, without: __, ingredients: ___, ...own } = batch;
  return { ...own, product, recipe, pack, processMinutes, ...(pressurePsi !== undefined && { pressurePsi }) };
}
