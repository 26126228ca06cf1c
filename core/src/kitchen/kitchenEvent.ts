import { type Method } from '../process/method';

/** Lids of a load: screw bands of reusable ones are tightened as soon as the jars are out, those of the others never. */
export type Lids = 'single-use' | 'reusable';

/** What happened to a load, told by whoever stood at the canner. Each has its own id and its own time. */
export type KitchenEvent = { readonly id: string; readonly loadId: string; readonly at: number } & (
  | {
      readonly type: 'load-started';
      readonly jars: number;
      /** The canner it went into, where that is not the one of its batch. */
      readonly cannerId?: string;
      /** How that one processes it, where that is not the way of its batch. */
      readonly way?: Method;
      /** Single-use unless told. */
      readonly lids?: Lids;
    }
  /** A canner that times itself runs: the minutes it shows until it is done. */
  | {
      readonly type: 'machine-started';
      readonly minutes: number;
      /** The minutes that were asked of it then, by the table. */
      readonly tested?: number;
    }
  /** A pressure canner vents: a strong column of steam, the weight still off. */
  | { readonly type: 'venting-started' }
  | {
      readonly type: 'boil-reached';
      /** The cook was asked, since it came sooner than can be, and said yes. */
      readonly sure?: true;
      /** The minutes that were asked of it then, by the table. */
      readonly tested?: number;
      /** Nobody tapped: a probe saw it, and the household lets it begin the clock. */
      readonly by?: 'probe';
    }
  /** Somebody looked into a pot whose clock a probe began, and it boils. */
  | { readonly type: 'boil-seen' }
  | { readonly type: 'boil-lost' }
  /** `tested` as above: the table may have changed while it boiled. */
  | { readonly type: 'heat-off'; readonly tested?: number }
  /** A pressure canner has come down to 0 psi by itself; the weight comes off. */
  | { readonly type: 'pressure-down' }
  | { readonly type: 'jars-out' }
  /** A jar broke: so many are left. Told twice it counts once. */
  | { readonly type: 'jars-left'; readonly jars: number }
  | {
      readonly type: 'seal-checked';
      /** One entry a jar, in the order of the load map. */
      readonly sealed: readonly boolean[];
      /** Ids for the jars that go to the shelf and for those that did not seal. */
      readonly sealedLotId: string;
      readonly unsealedLotId: string;
      /** The curve of the load fell short of what is tested; the cook was asked, and says that it boiled all the same. */
      readonly curveSeen?: true;
      /** Where those that did not seal go; the refrigerator unless told. */
      readonly unsealed?: 'refrigerator' | 'reprocess';
    }
  /** Jars that no canner takes stand in the refrigerator or the freezer now. */
  | { readonly type: 'kept-cold'; readonly jars: number; readonly lotId: string }
  | {
      readonly type: 'taken-back';
      /** The tap that was a slip. */
      readonly eventId: string;
      /** The cook was asked, since it would shorten a process, and said yes. */
      readonly sure?: true;
    }
);

type Told<Event> = Event extends KitchenEvent ? Omit<Event, 'id' | 'loadId' | 'at'> : never;

/** What is told of a load, beside its id and its time. */
export type LoadTold = Told<KitchenEvent>;

/** Whether the table has a word in what it means: a clock begins or ends by it. */
export function isHeldToTheTable({ type }: Pick<KitchenEvent, 'type'>): boolean {
  return type === 'boil-reached' || type === 'machine-started' || type === 'heat-off';
}

export type KitchenEventType = KitchenEvent['type'];

/** Events in the order of their times, each id once: whoever sent them when. */
export function inOrderOnce<Event extends { readonly id: string; readonly at: number }>(
  events: readonly Event[],
): Event[] {
  const once = [...new Map(events.map((event) => [event.id, event])).values()];
  return once.sort((a, b) => a.at - b.at || (a.id < b.id ? -1 : 1));
}
