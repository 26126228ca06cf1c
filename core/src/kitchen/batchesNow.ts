import { type Batch, type FromPot, type PlannedLoad } from '../day/batch';
import { joinedPots, joinFault } from '../day/joinPots';
import { madeAs } from '../day/madeAs';
import { groupBy } from '../handbook/groupBy';
import { type PickUse } from '../harvest/pick';
import { sumUses, timesUse } from '../harvest/usesOf';
import { type Method } from '../process/method';
import { byTheTable, type TableGround } from './byTheTable';
import { type DayEvent, standing } from './dayEvent';
import { type KitchenEvent } from './kitchenEvent';
import { takenOffMl } from './takenOff';
import { measuredNow } from './measuredNow';
import { movedOn } from './movedOn';
import { putIn } from './putIn';

const OF_BATCHES: readonly DayEvent['type'][] = [
  'loads-changed',
  'produce-added',
  'measured',
  'recipe-changed',
  'pots-joined',
];

type Change = Extract<DayEvent, { type: 'loads-changed' }>;

/**
 * The batches as they stand: loads changed on the day (more jars, fewer, a product dropped) as they were told last, fruit that
 * was added or stayed over at the gate, another card, two pots in one. A load that went into a canner stays, whoever dropped it and when; a batch of which no load is
 * left is gone, and its produce on hand again, and with it what was to be made of its pot. What is still to be processed goes by the table as it is now.
 */
export function batchesNow(
  batches: readonly Batch[],
  dayEvents: readonly DayEvent[],
  events: readonly KitchenEvent[],
  ground: TableGround,
): Batch[] {
  const told = withTheirPots(asTold(movedOn(batches, dayEvents, events), dayEvents, events), dayEvents);
  return byTheTable(inTheirCanners(told, events), events, ground);
}

/** A load goes by the way of the canner it was put into. */
function inTheirCanners(batches: readonly Batch[], events: readonly KitchenEvent[]): readonly Batch[] {
  const isTold = new Set(events.flatMap((event) => (event.type === 'load-started' && event.way ? [event.loadId] : [])));
  if (isTold.size === 0) return batches;
  const told = groupBy(
    events.filter(({ loadId }) => isTold.has(loadId)),
    ({ loadId }) => loadId,
  );
  return batches.map((batch) => {
    const wayOf = ({ id, withLoadId = id }: PlannedLoad) => putIn(told.get(withLoadId) ?? [])?.way;
    if (batch.loads.every((load) => wayOf(load) === undefined)) return batch;
    return { ...batch, loads: batch.loads.map((load) => ({ ...load, way: wayOf(load) ?? (batch.method as Method) })) };
  });
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
  const told = standing(dayEvents).filter(({ type }) => OF_BATCHES.includes(type));
  if (told.length === 0) return batches;
  const begun = new Set(events.flatMap(({ type, loadId }) => (type === 'load-started' ? [loadId] : [])));
  const pots = new Pots(batches, begun);
  for (const event of told) {
    if (event.type === 'pots-joined') pots.join(event.batchId, event.withId);
    else if ('batchId' in event) pots.tell(event.batchId, event);
  }
  return pots.now();
}

/** Batches while one thing after the other is told of them: what is told of a pot before it is joined belongs to that pot. */
class Pots {
  private readonly batches: Map<string, Batch>;
  private readonly told = new Map<string, DayEvent[]>();

  constructor(
    batches: readonly Batch[],
    private readonly begun: ReadonlySet<string>,
  ) {
    this.batches = new Map(batches.map((batch) => [batch.id, batch]));
  }

  tell(batchId: string, event: DayEvent): void {
    this.told.set(batchId, [...(this.told.get(batchId) ?? []), event]);
  }

  /** What cannot be joined stays as it is: whoever told it did not know what another screen had changed. */
  join(potId: string, otherId: string): void {
    const [pot] = this.stands(potId);
    const [other] = this.stands(otherId);
    if (!pot || !other || joinFault(pot, other) !== undefined) return;
    this.settle(potId, joinedPots(pot, other));
    this.batches.delete(otherId);
    for (const child of [...this.batches.values()]) if (child.from?.batchId === otherId) this.bringAlong(child, potId);
  }

  now(): Batch[] {
    return [...this.batches.keys()].flatMap((id) => this.stands(id));
  }

  /** What the second pot gives comes off the joined one: it goes with what that gives already. */
  private bringAlong(child: Batch, potId: string): void {
    const from = { ...(child.from as FromPot), batchId: potId };
    const [own] = this.stands(child.id);
    const host = [...this.batches.values()].find(
      (each) => each.id !== child.id && each.from?.batchId === potId && each.from.kind === from.kind,
    );
    const [beside] = host ? this.stands(host.id) : [];
    if (!own) return;
    if (beside?.method !== own.method) return this.settle(child.id, { ...own, from });
    this.settle(beside.id, joinedPots(beside, own));
    this.batches.delete(child.id);
  }

  private stands(id: string): Batch[] {
    const batch = this.batches.get(id);
    const own = this.told.get(id);
    if (!batch) return [];
    return own ? batchNow(batch, own, this.begun) : [batch];
  }

  /** What was told so far is in it. */
  private settle(id: string, batch: Batch): void {
    this.batches.set(id, batch);
    this.told.delete(id);
  }
}

function batchNow(batch: Batch, told: readonly DayEvent[], begun: ReadonlySet<string>): Batch[] {
  const changes = told.filter((event): event is Change => event.type === 'loads-changed');
  const change = changes.at(-1);
  const loads = change ? loadsNow(batch, changes, change, begun) : batch.loads;
  if (loads.length === 0) return [];
  const made = withRecipe(batch, told);
  return [{ ...made, uses: usesNow(made, told, loads, change?.produceUsed ?? 1), loads }];
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
  return sumUses([...batch.uses.map((use) => timesUse(use, part)), ...added, ...left]);
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

function withRecipe(batch: Batch, told: readonly DayEvent[]): Batch {
  const change = told.findLast((event) => event.type === 'recipe-changed');
  return change?.type === 'recipe-changed' ? madeAs(batch, change) : batch;
}
