import { nameOf, type Batch } from '../day/batch';
import { countJars } from '../handbook/jars';
import { boilRuns } from '../kitchen/boilRuns';
import { type Alarm, alarmsOf, missed } from '../kitchen/alarms';
import { type DayEvent } from '../kitchen/dayEvent';
import { type LoadState } from '../kitchen/loadState';
import { passedOver } from '../kitchen/passedOver';
import { progressOf } from '../kitchen/progressOf';
import { unboiledMin } from './potTruth';
import { type DaySeen, type RehearsedDay } from './rehearsedDay';

const MINUTE_MS = 60_000;
/** Told so much before hands could be through with it, it was said and not done. */
const TOO_EARLY_PART = 0.5;

/** Rules of the handbook that a rehearsal can touch. */
export const RULES = {
  'full-boil':
    'The clock starts at a full rolling boil over the covered jars, not when it begins to sing. Handbook rule 5.',
  'whole-again': 'A boil that was lost is brought back, and the whole time starts again. Handbook rule 5.',
  'needed-steps': 'Soaks, hot brine, acid and sterile jars belong to the tested time: without them it does not hold.',
  'hot-jars': 'Filled jars go into the canner while they are hot: what waits cools, and cracks or takes longer.',
  'five-minutes': 'Heat off, lid off, five minutes, then straight up. Handbook rule 9.',
  'count-jars': 'A broken jar is told at once: the lids that are pressed tomorrow are counted from it.',
  'tell-true': 'The plan goes by what is told: “done” is told when hands are through with it, and not before.',
  'by-the-call': 'A call that is answered late costs time or texture, never safety: longer in the canner is allowed.',
} as const;
export type RuleKey = keyof typeof RULES;

export interface Finding {
  readonly kind: 'late' | 'skipped' | 'too-soon' | 'short' | 'said-early' | 'not-counted';
  readonly words: string;
  /** What it would have cost. */
  readonly cost: string;
  readonly rule: RuleKey;
}

export interface Debrief {
  readonly findings: readonly Finding[];
  /** The three rules that were touched most, or that the day stood on where none was. */
  readonly rules: readonly string[];
  readonly jarsToShelf: number;
  readonly jarsLost: number;
}

interface Rehearsed extends DaySeen {
  readonly batches: readonly Batch[];
  readonly dayEvents: readonly DayEvent[];
}

/** What was late, what was skipped, what it would have cost, and the rules it touched: read off the same fold as a day in earnest. */
export function debriefOf(day: RehearsedDay, rehearsed: Rehearsed): Debrief {
  const { running, dayEvents, now } = rehearsed;
  const progress = progressOf(running, now);
  const late = missed(alarmsOf(running, progress, now), now).map(lateFinding);
  const loads = rehearsed.batches.flatMap((batch) => batch.loads.map((load) => ({ batch, load })));
  let [toShelf, lost] = [0, 0];
  const ofLoads = loads.flatMap(({ batch, load }): Finding[] => {
    // What goes in with another lives through what happens to that one.
    const own = running.loads.get(load.withLoadId ?? load.id);
    if (!own || own.state.startedAt === undefined) return [];
    const count = load.withLoadId === undefined ? own.state.jars : load.jars;
    const name = `Load ${load.number}, ${nameOf(batch).toLowerCase()}`;
    const jars = countJars(count, load.size?.jar ?? batch.jar);
    const found = [
      ...boilFindings(day, rehearsed, { loadId: load.withLoadId ?? load.id, name, jars }),
      ...skipped(load.id, rehearsed, name, jars),
    ];
    const isCounted =
      !day.mishaps.some((each) => each.kind === 'jar-broken' && each.loadId === load.id) || own.state.broken > 0;
    const broken: Finding[] = isCounted
      ? []
      : [
          {
            kind: 'not-counted',
            words: `${name}: a jar broke and was not told.`,
            cost: 'One lid too many to press.',
            rule: 'count-jars',
          },
        ];
    const isFit = found.length === 0 && own.state.heatOffAt !== undefined;
    if (isFit) toShelf += count;
    else lost += count;
    return [...found, ...broken, ...withoutLids(day, load.id, own.order.jars, own.state)];
  });
  const early = dayEvents.flatMap((event): Finding[] => {
    if (event.type !== 'step-done') return [];
    const task = running.tasks.find(({ id }) => id === event.taskId);
    const began = task && running.day.steps.get(task.id)?.startedAt;
    if (!task || began === undefined || (task.needs.hands ?? 0) === 0) return [];
    const took = (event.at - began) / MINUTE_MS;
    const asked = day.minutesOf(task);
    if (took >= TOO_EARLY_PART * asked) return [];
    const words = `“${task.words}” was told as done after ${Math.round(took)} min; it takes ${Math.round(asked)} here.`;
    return [{ kind: 'said-early', words, cost: 'The plan thinks that hands are free.', rule: 'tell-true' }];
  });
  const findings = [...ofLoads, ...late, ...early];
  return { findings, rules: rulesOf(findings), jarsToShelf: toShelf, jarsLost: lost };
}

function lateFinding({ kind, dueAt, answeredAt = dueAt, words }: Alarm): Finding {
  const minutes = Math.round((answeredAt - dueAt) / MINUTE_MS);
  const what = LATE_WORDS[kind as keyof typeof LATE_WORDS] ?? words ?? 'A call';
  const rule = kind === 'rest-over' ? 'five-minutes' : kind === 'jars-wait' ? 'hot-jars' : 'by-the-call';
  const cost =
    kind === 'jars-wait' ? 'Jars cool and may crack in hot water.' : `${minutes} min of the day, and softer food.`;
  return { kind: 'late', words: `${what} ${minutes} min late.`, cost, rule };
}

const LATE_WORDS = {
  'time-up': 'Heat off',
  'rest-over': 'Jars lifted out',
  'vent-over': 'Weight on',
  'step-over': 'The end of a step was told',
  ask: 'A look whether it is done came',
  stir: 'Stirred',
  thermometer: 'A look at the thermometer came',
  'jars-wait': 'Filled jars went in',
} as const;

interface OfLoad {
  readonly loadId: string;
  readonly name: string;
  readonly jars: string;
}

/** Minutes of the tested time in which the water did not boil: what the clock of a kitchen cannot know. */
function boilFindings(day: RehearsedDay, seen: Rehearsed, { loadId, name, jars }: OfLoad): Finding[] {
  const truth = day.potOf(loadId, seen);
  const load = seen.running.loads.get(loadId);
  if (!truth || !load) return [];
  const told = seen.events.filter((event) => event.loadId === loadId);
  const last = boilRuns(load.order, told).at(-1);
  if (!last) return [];
  const to = Math.min(last.to ?? seen.now, last.from + load.order.processMinutes * MINUTE_MS);
  const early = Math.max(0, Math.min(to, truth.boilsFrom) - last.from) / MINUTE_MS;
  const stopped = unboiledMin(truth, Math.max(last.from, truth.boilsFrom), to);
  const cost = `${jars} boiled too short: to the refrigerator, not the shelf.`;
  return [
    ...(early >= 0.5
      ? [
          {
            kind: 'too-soon' as const,
            words: `${name}: the clock began ${Math.ceil(early)} min before it boiled.`,
            cost,
            rule: 'full-boil' as const,
          },
        ]
      : []),
    ...(stopped >= 0.5
      ? [
          {
            kind: 'short' as const,
            words: `${name}: for ${Math.ceil(stopped)} min of its time it did not boil.`,
            cost,
            rule: 'whole-again' as const,
          },
        ]
      : []),
  ];
}

/** More jars went in than there were lids to close. */
function withoutLids(day: RehearsedDay, loadId: string, meant: number, { jars, broken }: LoadState): Finding[] {
  const short = day.mishaps.find((each) => each.kind === 'lids-short' && each.loadId === loadId);
  if (short?.kind !== 'lids-short' || jars + broken <= meant - short.lids) return [];
  const words = `${short.lids} lids were missing, and ${jars + broken} jars went in all the same.`;
  return [{ kind: 'not-counted', words, cost: 'Jars that nothing closes.', rule: 'count-jars' }];
}

function skipped(loadId: string, { running, dayEvents }: Rehearsed, name: string, jars: string): Finding[] {
  return passedOver(loadId, running, dayEvents).map(({ task }) => ({
    kind: 'skipped',
    words: `${name}: went in without “${task.words}”.`,
    cost: `${jars} that the tested time does not hold for.`,
    rule: 'needed-steps',
  }));
}

/** Those of safety first; where nothing was touched, what the day stood on. */
function rulesOf(findings: readonly Finding[]): string[] {
  const order: readonly RuleKey[] = [
    'full-boil',
    'whole-again',
    'needed-steps',
    'hot-jars',
    'five-minutes',
    'count-jars',
    'tell-true',
    'by-the-call',
  ];
  const touched = order.filter((key) => findings.some(({ rule }) => rule === key));
  const rest = order.filter((key) => !touched.includes(key));
  return [...touched, ...rest].slice(0, 3).map((key) => RULES[key]);
}
