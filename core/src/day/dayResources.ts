import { ANYBODY, BURNERS, CANNER_BURNERS, cannerResource, HANDS, ownHands, toolResource, WATCH } from './dayProblem';
import { type KitchenLife, movableErrands, standingErrands } from './errandTasks';
import { type Cook, DAY_MIN } from './kitchenSetup';
import { type SearchResource } from '../scheduling/scheduleProblem';

/** Hours are laid out for so many days from the start on; a plan that takes longer finds the kitchen open. */
const DAYS = 7;

/**
 * The kitchen as resources of a schedule.
 *
 * @param life the kitchen, who is in it when, and the minute of the day at which the plan begins: its minute 0
 * @param toolsNamed tools that a recipe of the household's own names: there is one of each that the kitchen does not count
 */
export function dayResources(
  life: KitchenLife,
  cannerIds: readonly string[],
  toolsNamed: readonly string[] = [],
): SearchResource[] {
  const { setup, startMinute } = life;
  const hours = setup.cooks.map((cook) => hoursOf(cook, life));
  const edges = edgesOf(hours, startMinute);
  const atWork = hours.map(({ work }): When => within(work));
  const atHome = hours.map(({ home }): When => within(home));
  const moved = movableErrands(life);
  const leaves = moved.some(({ errand }) => !errand.atHome);
  const errandsOf = [...new Set(moved.map(({ errand }) => errand.cook))];
  return [
    { id: HANDS, capacity: setup.cooks.length, ...missing(atWork, edges) },
    // Whoever is up and in the house can see to a pot, with hands full or not.
    {
      id: WATCH,
      ...(leaves
        ? { capacity: ANYBODY * setup.cooks.length, ...missing(atHome, edges, ANYBODY) }
        : { capacity: ANYBODY, ...missing([(minute) => atHome.some((there) => there(minute))], edges) }),
    },
    ...errandsOf.map((name) => ({
      id: ownHands(name),
      capacity: 1,
      ...missing(
        atWork.filter((_, k) => setup.cooks[k]?.name === name),
        edges,
      ),
    })),
    { id: BURNERS, capacity: setup.burners },
    { id: CANNER_BURNERS, capacity: Math.min(setup.cannerBurners, setup.burners) },
    { id: 'big pot', capacity: setup.bigPots },
    { id: 'oven', capacity: setup.ovens },
    { id: 'mill', capacity: setup.mills },
    { id: 'strainer', capacity: setup.strainers },
    { id: 'refrigerator', capacity: setup.refrigeratorLb },
    ...setup.tools.map(({ name, count }) => ({ id: toolResource(name), capacity: count })),
    ...toolsNamed
      .filter((name) => !setup.tools.some((tool) => tool.name === name))
      .map((name) => ({ id: toolResource(name), capacity: 1 })),
    ...cannerIds.map((id) => ({ id: cannerResource(id), capacity: 1 })),
  ];
}

type Span = readonly [from: number, to: number];

/** When a cook works and is in the house, in minutes of the plan. */
interface Hours {
  readonly work: readonly Span[];
  readonly home: readonly Span[];
}

type When = (minute: number) => boolean;

/** When each cook's hands are there on all days of the plan, by name: their hours less what stands at its time. */
export function handsThere(life: KitchenLife): ReadonlyMap<string, (fromMin: number, toMin: number) => boolean> {
  return new Map(
    life.setup.cooks.map((cook) => {
      const { work } = hoursOf(cook, life);
      return [cook.name, (fromMin, toMin) => work.some(([from, to]) => from <= fromMin && toMin <= to)] as const;
    }),
  );
}

/** The hours of a cook on all days of the plan, less what stands at its time. */
function hoursOf(cook: Cook, life: KitchenLife): Hours {
  const days = Array.from({ length: DAYS + 1 }, (_, day) => {
    const midnight = day * DAY_MIN - life.startMinute;
    const own = standingErrands(life, day).filter(({ errand }) => errand.cook === cook.name);
    const hours: Span = [midnight + cook.fromMin, midnight + cook.toMin];
    const spans = (all: typeof own) => all.map(({ fromMin, toMin }): Span => [fromMin, toMin]);
    const away = own.filter(({ errand }) => !errand.atHome);
    return { work: less(hours, spans(own)), home: less(hours, spans(away)) };
  });
  return { work: days.flatMap(({ work }) => work), home: days.flatMap(({ home }) => home) };
}

/** What is left of a span. */
function less([from, to]: Span, taken: readonly Span[]): Span[] {
  const left: Span[] = [];
  let at = from;
  for (const [begin, end] of [...taken].sort(([a], [b]) => a - b)) {
    if (Math.min(begin, to) > at) left.push([at, Math.min(begin, to)]);
    at = Math.max(at, end);
  }
  if (at < to) left.push([at, to]);
  return left;
}

function within(spans: readonly Span[]): When {
  return (minute) => spans.some(([from, to]) => minute >= from && minute < to);
}

/** Minutes of the plan at which somebody comes or goes, and its last one: in between nothing changes. */
function edgesOf(hours: readonly Hours[], startMinute: number): number[] {
  const last = DAYS * DAY_MIN;
  const all = hours.flatMap(({ work, home }) => [...work, ...home].flat());
  const midnights = Array.from({ length: DAYS + 1 }, (_, day) => day * DAY_MIN - startMinute);
  return [...new Set([...[...all, ...midnights].filter((minute) => minute > 0 && minute < last), last])].sort(
    (a, b) => a - b,
  );
}

/** Times when nobody is there, and times when some are missing, each of them so much; a single `When` counts as all there is. */
function missing(
  present: readonly When[],
  edges: readonly number[],
  each = 1,
): Pick<SearchResource, 'closed' | 'taken'> {
  const closed: [number, number][] = [];
  const taken: { from: number; to: number; amount: number }[] = [];
  let from = 0;
  const missingAt = (minute: number) => present.filter((there) => !there(minute)).length;
  for (const minute of edges) {
    const away = missingAt(from);
    if (minute < DAYS * DAY_MIN && missingAt(minute) === away) continue;
    if (away === present.length) closed.push([from, minute]);
    else if (away > 0) taken.push({ from, to: minute, amount: each * away });
    from = minute;
  }
  return { closed, taken };
}
