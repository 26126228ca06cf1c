import { LONG_WAIT_MIN } from '../day/longWait';
import { type DayTask } from '../day/dayProblem';
import { needsHands } from '../day/restOfDay';
import { type OpenStep } from './openBefore';
import { HEAT_HOLDS_MIN, testedPart } from './testedPart';

/** What has to be said before jars go in that nobody told step by step. */
export interface AtTheLoad {
  /** Not over, or cold by now: no word makes it good. */
  readonly held?: OpenStep;
  /** All that was done and not told, in the order it is done in. */
  readonly untold: readonly DayTask[];
  /** What of it is asked one by one: the work between was done with those. */
  readonly asked: readonly DayTask[];
}

/** @param open what the load waits for still */
export function atTheLoad(open: readonly OpenStep[]): AtTheLoad {
  const held = open.find(({ why }) => why !== 'untold');
  const untold = open.filter(({ why }) => why === 'untold').map(({ task }) => task);
  const isAsked = (task: DayTask) =>
    testedPart(task) !== undefined || !needsHands(task) || task.kind === 'fill' || task.kind === 'cool-water';
  return { ...(held && { held }), untold, asked: untold.filter(isAsked) };
}

/** Minutes since something was over, as a cook would say them; hours for what goes on overnight. */
const AGO_MIN = [0, 15, 30, 60, 180, 480, 720] as const;

/** What can be said of how long ago a step was over: what is hot or sour counts for an hour. */
export function agoChoices(task: DayTask): readonly number[] {
  if (testedPart(task) === 'heat') return AGO_MIN.filter((ago) => ago < HEAT_HOLDS_MIN);
  return AGO_MIN.filter((ago) => (task.minutes.p50 >= LONG_WAIT_MIN ? ago === 0 || ago >= 60 : ago <= 60));
}
