import { v7 as uuidV7 } from 'uuid';
import { type Logger } from 'pino';
import { type InstrumentsNow } from '@hoddle/contract/instrument';
import { type Batch } from '@hoddle/core/day/batch';
import { atTheCanner } from '@hoddle/core/kitchen/atTheCanner';
import { batchesNow } from '@hoddle/core/kitchen/batchesNow';
import { type DayEvent } from '@hoddle/core/kitchen/dayEvent';
import { type KitchenEvent } from '@hoddle/core/kitchen/kitchenEvent';
import { CurveRecord } from '@hoddle/core/kitchen/curveRecord';
import { type LoadNow, loadsNow } from '@hoddle/core/kitchen/loadsNow';
import { boiledByHand, emptyCurve, type WatchedLoad, watchedLoad } from '@hoddle/core/kitchen/watchedLoad';
import { type Changes } from '../changes';
import { type Clock } from '../clock';
import { type Database } from '../db/openDatabase';
import { readHousehold, readPages, readSettings } from '../db/readState';
import { eventOf } from '../db/rowForms';
import { Problem } from '../problem';
import { keepKitchenEvent } from '../routes/kitchenEvents';
import { type Heard, InstrumentHub, type Watched } from './instrumentHub';

/** Looked at and told so often; what a hand waits for is told sooner. */
const LOOK_MS = 1_000;
const SOON_MS = 120;
/** What was read is written down so often while a load is in its canner. */
const WRITE_MS = 60_000;

const OVER = ['cooling', 'checked'];

export interface HouseholdWatch {
  readonly hub: InstrumentHub;
  /** As it was last told. */
  readonly now: () => InstrumentsNow;
  /** Looks, tells and writes at once: what the timer does by itself. */
  readonly look: () => Promise<void>;
  readonly stop: () => Promise<void>;
}

interface Parts {
  readonly db: Database;
  readonly clock: Clock;
  readonly changes: Changes;
  readonly log: Logger;
}

/** Brings instruments and the household together: which load each stands at, what is told of it, and what is kept. */
export function householdWatch({ db, clock, changes, log }: Parts): HouseholdWatch {
  /** This machine's own time, whatever a demo's household thinks. */
  const realNow = () => clock.now(0);
  let known: { tag: string; loads: readonly LoadNow[] } | undefined;
  const loadsKnown = () => {
    if (known?.tag !== db.state.tag) known = { tag: db.state.tag, loads: standing(db) };
    return known.loads;
  };
  const asked = new Map<string, { key: string; load: WatchedLoad[] }>();
  const loadsAt: Watched['loads'] = ({ id, kind }, cannerId) => {
    const minute = Math.floor(db.state.now() / 60_000);
    const key = `${db.state.tag} ${minute} ${cannerId}`;
    const cached = asked.get(id);
    if (cached?.key === key) return cached.load;
    const { altitudeFt } = readHousehold(db);
    const { canners, curves, events } = db.state.all;
    const dayEvents = db.state.told.parts.dayEvents as DayEvent[];
    const at = altitudeFt === null ? undefined : atTheCanner(loadsKnown(), cannerId, db.state.now());
    const load =
      at && altitudeFt !== null
        ? watchedLoad(kind, at, {
            ...{ altitudeFt, canner: canners.get(cannerId) },
            boiled: boiledByHand(id, curves.values(), [...events.values()].map(eventOf)),
            answered: new Map(
              dayEvents.flatMap((event) => (event.type === 'alarm-answered' ? [[event.alarmId, event.at]] : [])),
            ),
          })
        : undefined;
    const told = load ? [load] : [];
    asked.set(id, { key, load: told });
    return told;
  };
  const records = new Map<string, { record: CurveRecord; writtenAt: number; isNew: boolean }>();
  const heard: Heard = (load, { id }, at, value) => {
    if (load.state.phase === 'planned' || at < load.startedAt) return;
    let own = records.get(load.id);
    if (!own) {
      const curve = db.state.all.curves.get(load.id) ?? emptyCurve(id, load);
      own = { record: new CurveRecord(curve), writtenAt: realNow(), isNew: false };
      records.set(load.id, own);
    }
    // The first that spoke of it tells its curve: two probes in one pot are not one.
    if (own.record.instrument !== id) return;
    own.record.take(at, value);
    own.isNew = true;
  };
  const hub = new InstrumentHub(
    () => ({ settings: readSettings(db).instruments, loads: loadsAt, aheadMs: db.state.now() - realNow() }),
    realNow,
    heard,
  );
  let last: InstrumentsNow = { instruments: [], calls: [], warm: [] };
  let told = '';
  const tell = () => {
    last = hub.look();
    const line = JSON.stringify(last);
    if (line !== told) changes.say('instruments', line);
    told = line;
  };
  const write = async (isAll: boolean) => {
    const inside = new Set(loadsKnown().map(({ load }) => load.id));
    for (const [id, own] of records) {
      const isOut = !inside.has(id);
      if (!own.isNew && !isOut) continue;
      if (!isAll && !isOut && realNow() - own.writtenAt < WRITE_MS) continue;
      const { curve } = own.record;
      Object.assign(own, { isNew: false, writtenAt: realNow() });
      if (curve.points.length > 0) {
        await db.write((transaction) => db.tables.curves.upsert(curve, { transaction }));
      }
      if (isOut) records.delete(id);
    }
  };
  /** A probe that begins a clock says so once for each time the load is heated. */
  const begun = new Set<string>();
  const begin = async () => {
    if (readSettings(db).instruments.startsClock !== 'probe') return;
    for (const { loadId, kind } of last.calls) {
      const own = loadsKnown().find(({ load }) => load.id === loadId);
      const key = `${loadId} ${own?.state.timesLost}`;
      if (kind !== 'boil-found' || !own || own.order.untested !== undefined || begun.has(key)) continue;
      begun.add(key);
      const event: KitchenEvent = { id: uuidV7(), loadId, at: db.state.now(), type: 'boil-reached', by: 'probe' };
      await keepKitchenEvent(db, clock, event).catch((error: unknown) => {
        if (!(error instanceof Problem)) throw error;
        log.warn({ err: error, loadId }, 'a probe began no clock');
      });
    }
  };
  let running: Promise<void> = Promise.resolve();
  const look = () => {
    running = running
      .then(async () => {
        tell();
        await begin();
        await write(false);
      })
      .catch((error: unknown) => log.error({ err: error }, 'instruments could not be looked at'));
    return running;
  };
  const timer = setInterval(() => void look(), LOOK_MS);
  timer.unref();
  let soon: ReturnType<typeof setTimeout> | undefined;
  hub.listen(() => {
    soon ??= setTimeout(() => {
      soon = undefined;
      tell();
    }, SOON_MS);
    soon.unref();
  });
  return {
    hub,
    now: () => last,
    look,
    stop: async () => {
      clearInterval(timer);
      clearTimeout(soon);
      await running;
      await write(true).catch((error: unknown) => log.error({ err: error }, 'curves were not written'));
    },
  };
}

/** Loads that are not out of their canners yet, where they stand. */
function standing(db: Database): readonly LoadNow[] {
  const { batches, events, dayEvents } = db.state.told.parts as unknown as {
    batches: Batch[];
    events: KitchenEvent[];
    dayEvents: DayEvent[];
  };
  const { altitudeFt } = readHousehold(db);
  const ground = { altitudeFt, pages: readPages(db) };
  const loads = loadsNow(batchesNow(batches, dayEvents, events, ground), events);
  return loads.filter(({ state }) => !OVER.includes(state.phase));
}
