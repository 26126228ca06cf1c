import { MessageChannel } from 'node:worker_threads';
import Piscina from 'piscina';
import { type SeasonNews } from '@hoddle/core/season/search/planSeason';
import { type SeasonOutcome, type SeasonTask } from '../season/planHousehold';
import { type SeasonWork } from './seasonAnswer';

/** A planning under way. */
export interface SeasonRun {
  readonly outcome: Promise<SeasonOutcome>;
  /** Ends it with the best plan so far. */
  stop(): void;
}

/** Plans a season away from the thread that serves the household. */
export type PlanSeasons = (task: SeasonTask, onNews: (news: Omit<SeasonNews, 'plan'>) => void) => SeasonRun;

/** Memory of one planning; more than that is a fault, not a season. */
const MOST_MEGABYTES = 900;
/** One at a time: a household asks for a second one only beside the first. */
const AT_ONCE = 1;

/** Worker threads that plan. @param file the bundled `seasonAnswer` */
export function seasonPool(file: string): { plan: PlanSeasons; close: () => Promise<void> } {
  const pool = new Piscina<SeasonWork, SeasonOutcome>({
    filename: file,
    minThreads: 0,
    maxThreads: AT_ONCE,
    idleTimeout: 30_000,
    resourceLimits: { maxOldGenerationSizeMb: MOST_MEGABYTES },
  });
  const plan: PlanSeasons = (task, onNews) => {
    const { port1, port2 } = new MessageChannel();
    const stop = new Int32Array(new SharedArrayBuffer(Int32Array.BYTES_PER_ELEMENT));
    port1.on('message', (news: Omit<SeasonNews, 'plan'>) => onNews(news));
    const work: SeasonWork = { ...task, news: port2, stop };
    const outcome = pool.run(work, { name: 'seasonAnswer', transferList: [port2] }).finally(() => port1.close());
    return { outcome, stop: () => void Atomics.store(stop, 0, 1) };
  };
  return { plan, close: () => pool.destroy() };
}
