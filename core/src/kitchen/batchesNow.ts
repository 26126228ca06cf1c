import { type Batch } from '../day/batch';
import { type PickUse } from '../harvest/pick';
import { timesUse } from '../harvest/usesOf';
import { byTheTable, type TableGround } from './byTheTable';
import { type DayEvent, standing } from './dayEvent';
import { type KitchenEvent } from './kitchenEvent';
import { takenOffMl } from './takenOff';
import { measuredNow } from './measuredNow';

const OF_BATCHES: readonly DayEvent['type'][] = ['loads-changed', 'produce-added', 'measured', 'recipe-changed'];

type Change = Extract<DayEvent, { type: 'loads-changed' }>;

/**
 * The batches as they stand: loads changed on the day (more jars, fewer, a product dropped) as they were told last, fruit that
 * was added or stayed over at the gate, another card. A load that went into a canner stays, whoever dropped it and when; a batch of which no load is
 * left is gone, and its produce on hand again, and with it what was to be made of its pot. What is still to be processed goes by the table as it is now.
 */
export function batchesNow(
  batches: readonly Batch[],
  dayEvents: readonly DayEvent[],
  events: readonly KitchenEvent[],
  ground: TableGround,
): Batch[] {
  return byTheTable(withTheirPots(asTold(batches, dayEvents, events), dayEvents), events, ground);
}

/** What begins with another batch's pot is gone with that batch, unless the juice was taken off before. */
function withTheirPots(batches: readonly Batch[], dayEvents: readonly DayEvent[]): readonly Batch[] {
  if (batches.every(({ from }) => !from)) return batches;
  const there = new Set(batches.map(({ id }) => id));
  return batches.filter(
    ({ from }) => !from || there.has(from.batchId) || takenOffMl(from.batchId, dayEvents) !== undefined,
  );
}

function asTold(
  batches: readonly Batch[],
  dayEvents: readonly DayEvent[],
  events: readonly KitchenEvent[],
): readonly Batch[] {
  const told = new Map<string, DayEvent[]>();
  for (const event of standing(dayEvents)) {
    if (!OF_BATCHES.includes(event.type) || !('batchId' in event)) continue;
    told.set(event.batchId, [...(told.get(event.batchId) ?? []), event]);
  }
  if (told.size === 0) return batches;
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
  return [{ ...withRecipe(batch, told), uses: usesNow(batch, told, loads, change?.produceUsed ?? 1), loads }];
}

/**
 * What is used of each pick: the part of what was reserved, what was added, less what stayed over. What belongs to one load
 * counts as long as that load stands.
 */
function usesNow(batch: Batch, told: readonly DayEvent[], loads: Batch['loads'], part: number): PickUse[] {
  const partOf = (loadIds: readonly string[] | undefined) =>
    loadIds === undefined ? part : Number(loads.some(({ id }) => loadIds.includes(id)));
  const added = told.flatMap((event) =>
    event.type === 'produce-added'
      ? [withoutThaw(timesUse(event.use, partOf(event.loadId === undefined ? undefined : [event.loadId])))]
      : [],
  );
  const left = measuredNow(batch.id, told).flatMap(({ loadIds, left = [] }) =>
    left.map((use) => timesUse(use, -partOf(loadIds))),
  );
  return summedUp([...batch.uses.map((use) => timesUse(use, part)), ...added, ...left]);
}

function loadsNow(batch: Batch, changes: readonly Change[], last: Change, begun: ReadonlySet<string>): Batch['loads'] {
  // A load that one change brought and the next one leaves out may be in the canner by now.
  const known = new Map([...changes.flatMap(({ loads }) => loads), ...batch.loads].map((load) => [load.id, load]));
  const inCanner = [...known.values()].filter(({ id }) => begun.has(id));
  const others = last.loads.filter(({ id }) => !inCanner.some((load) => load.id === id));
  return [...inCanner, ...others].sort((a, b) => a.number - b.number);
}

/** What is added at the stove is heated as it is: no step of the day goes before it any more. */
function withoutThaw({ frozenKg: _, ...use }: PickUse): PickUse {
  return use;
}

/** One use for each pick, none below nothing. */
function summedUp(uses: readonly PickUse[]): PickUse[] {
  const all = new Map<string, PickUse>();
  for (const use of uses) {
    const { massKg = 0, softKg = 0, frozenKg = 0 } = all.get(use.pickId) ?? {};
    const frozen = frozenKg + (use.frozenKg ?? 0);
    const own = { ...use, massKg: use.massKg + massKg, softKg: use.softKg + softKg };
    all.set(use.pickId, { ...own, ...(frozen !== 0 && { frozenKg: frozen }) });
  }
  return [...all.values()].map((use) => {
    const massKg = Math.max(0, use.massKg);
    const most = (kg: number) => Math.min(massKg, Math.max(0, kg));
    return {
      ...use,
      massKg,
      softKg: most(use.softKg),
      ...(use.frozenKg !== undefined && { frozenKg: most(use.frozenKg) }),
    };
  });
}

function withRecipe(batch: Batch, told: readonly DayEvent[]): Batch {
  const change = told.findLast((event) => event.type === 'recipe-changed');
  if (change?.type !== 'recipe-changed') return batch;
  const { product, recipe, pack, processMinutes, pressurePsi } = change;
  const { pressurePsi: _, without: __, ingredients: ___, ...own } = batch;
  return { ...own, product, recipe, pack, processMinutes, ...(pressurePsi !== undefined && { pressurePsi }) };
}
