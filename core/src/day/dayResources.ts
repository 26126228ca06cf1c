import { BURNERS, CANNER_BURNERS, cannerResource, HANDS, toolResource, WATCH } from './dayProblem';
import { type Cook, DAY_MIN, type KitchenSetup } from './kitchenSetup';
import { type SearchResource } from '../scheduling/scheduleProblem';

/** Hours are laid out for so many days from the start on; a plan that takes longer finds the kitchen open. */
const DAYS = 7;

/** More pots than anybody watches at once. */
const ANY_NUMBER = 1_000;

/**
 * The kitchen as resources of a schedule.
 *
 * @param startMinute minute of the day at which the plan begins: its minute 0
 * @param toolsNamed tools that a recipe of the household's own names: there is one of each that the kitchen does not count
 */
export function dayResources(
  setup: KitchenSetup,
  cannerIds: readonly string[],
  startMinute: number,
  toolsNamed: readonly string[] = [],
): SearchResource[] {
  const { cooks } = setup;
  const edges = edgesOf(cooks, startMinute);
  return [
    { id: HANDS, capacity: cooks.length, ...hours(cooks.map(atWork), startMinute, edges) },
    // Whoever is up and in the house can see to a pot, with hands full or not.
    {
      id: WATCH,
      capacity: ANY_NUMBER,
      ...hours([(minute) => cooks.some((cook) => atHome(cook)(minute))], startMinute, edges),
    },
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

/** Minutes of the plan at which somebody comes or goes, and its last one: in between nothing changes. */
function edgesOf(cooks: readonly Cook[], startMinute: number): number[] {
  const ofDay = cooks.flatMap(({ fromMin, toMin, breaks }) => [
    fromMin,
    toMin,
    ...breaks.flatMap((own) => [own.fromMin, own.toMin]),
  ]);
  const days = Array.from({ length: DAYS + 1 }, (_, day) => day * DAY_MIN - startMinute);
  const all = days.flatMap((midnight) => [midnight, ...ofDay.map((minute) => midnight + minute)]);
  const last = DAYS * DAY_MIN;
  return [...new Set([...all.filter((minute) => minute > 0 && minute < last), last])].sort((a, b) => a - b);
}

type When = (minuteOfDay: number) => boolean;

function atWork({ fromMin, toMin, breaks }: Cook): When {
  return (minute) =>
    minute >= fromMin && minute < toMin && !breaks.some((own) => minute >= own.fromMin && minute < own.toMin);
}

function atHome({ fromMin, toMin, breaks }: Cook): When {
  return (minute) =>
    minute >= fromMin &&
    minute < toMin &&
    !breaks.some((own) => !own.atHome && minute >= own.fromMin && minute < own.toMin);
}

/** Times when nobody is there, and times when some are missing; a single `When` counts as all there is. */
function hours(
  present: readonly When[],
  startMinute: number,
  edges: readonly number[],
): Pick<SearchResource, 'closed' | 'taken'> {
  const closed: [number, number][] = [];
  const taken: { from: number; to: number; amount: number }[] = [];
  let from = 0;
  const missingAt = (minute: number) => {
    const ofDay = (startMinute + minute) % DAY_MIN;
    return present.filter((there) => !there(ofDay)).length;
  };
  for (const minute of edges) {
    const missing = missingAt(from);
    if (minute < DAYS * DAY_MIN && missingAt(minute) === missing) continue;
    if (missing === present.length) closed.push([from, minute]);
    else if (missing > 0) taken.push({ from, to: minute, amount: missing });
    from = minute;
  }
  return { closed, taken };
}
