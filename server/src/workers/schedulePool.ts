import { type ScheduleRequest } from '@hoddle/contract/schedule';
import { availableParallelism } from 'node:os';
import Piscina from 'piscina';
import { type ScheduleAnswer } from './scheduleAnswer';

/** Answers a schedule request away from the thread that serves the household. */
export type Schedule = (request: ScheduleRequest) => Promise<ScheduleAnswer>;

/** Searches wait in line beyond so many. */
const MOST_AT_ONCE = 4;

/** Worker threads that search. @param file the bundled `scheduleAnswer` */
export function schedulePool(file: string): { schedule: Schedule; close: () => Promise<void> } {
  const pool = new Piscina<ScheduleRequest, ScheduleAnswer>({
    filename: file,
    minThreads: 0,
    maxThreads: Math.max(1, Math.min(MOST_AT_ONCE, availableParallelism() - 1)),
    idleTimeout: 60_000,
  });
  return { schedule: (request) => pool.run(request, { name: 'scheduleAnswer' }), close: () => pool.destroy() };
}
