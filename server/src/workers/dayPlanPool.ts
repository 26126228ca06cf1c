import Piscina from 'piscina';
import { type ScheduledTask } from '@hoddle/core/day/dayProblem';
import { type PlanDay } from '../calendar/plannedDays';
import { type DayPlanWork } from './dayPlanAnswer';

/** Plans that are remembered: the days a household has ahead. */
const MOST_KEPT = 40;

/** Plans days for the calendar in a thread of its own, each question once. @param file the bundled `dayPlanAnswer` */
export function dayPlanPool(file: string): { planDay: PlanDay; close: () => Promise<void> } {
  const pool = new Piscina<DayPlanWork, readonly ScheduledTask[] | undefined>({
    ...{ filename: file, minThreads: 0, maxThreads: 1, idleTimeout: 30_000 },
  });
  return { planDay: eachOnce((work) => pool.run(work, { name: 'dayPlanAnswer' })), close: () => pool.destroy() };
}

/** The same question is answered from memory: a calendar is looked at every half hour, and its days change once a week. */
export function eachOnce(plan: (work: DayPlanWork) => Promise<readonly ScheduledTask[] | undefined>): PlanDay {
  const known = new Map<string, Promise<readonly ScheduledTask[] | undefined>>();
  return (question, recipes) => {
    const key = JSON.stringify([question, recipes], (_, value: unknown) => (value instanceof Map ? [...value] : value));
    const answer = known.get(key) ?? plan({ question, recipes });
    known.delete(key);
    known.set(key, answer);
    answer.catch(() => known.delete(key));
    const [oldest] = known.keys();
    if (known.size > MOST_KEPT && oldest !== undefined) known.delete(oldest);
    return answer;
  };
}
