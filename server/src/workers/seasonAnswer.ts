import { type MessagePort } from 'node:worker_threads';
import { planHousehold, type SeasonOutcome, type SeasonTask } from '../season/planHousehold';

/** What goes to the worker thread: the task, where news go, and a number that is not 0 once it is to stop. */
export interface SeasonWork extends SeasonTask {
  readonly news: MessagePort;
  readonly stop: Int32Array;
}

/** Plans in a worker thread. The solver blocks it, so that it is told to stop by shared memory. */
export function seasonAnswer({ news, stop, ...task }: SeasonWork): Promise<SeasonOutcome> {
  return planHousehold(task, (each) => {
    news.postMessage(each);
    return Atomics.load(stop, 0) === 0;
  }).finally(() => news.close());
}
