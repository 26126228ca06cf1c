import { type Logger } from 'pino';
import { type SeasonPlanReply } from '@hoddle/contract/season';
import { type SeasonReport } from '@hoddle/core/season/report/seasonReport';
import { type PlanSeasons, type SeasonRun } from '../workers/seasonPool';
import { type SeasonTask } from './planHousehold';

/** So many plannings are remembered, the newest; older ones have been read or forgotten. */
const MOST_KEPT = 20;

interface Job {
  reply: SeasonPlanReply;
  readonly run: SeasonRun;
}

/** The plan itself says last what it is worth. */
function doneWith(reply: SeasonPlanReply, report: SeasonReport): SeasonPlanReply {
  const { worth, bound } = report;
  return { ...reply, state: 'done', worth, bound, report: structuredClone(report) as SeasonPlanReply['report'] };
}

/** Plannings under way and done, by the id that the client gave them. A server that starts anew knows of none. */
export class SeasonJobs {
  private readonly jobs = new Map<string, Job>();

  constructor(
    private readonly plan: PlanSeasons,
    private readonly log: Logger,
  ) {}

  reply(id: string): SeasonPlanReply | undefined {
    return this.jobs.get(id)?.reply;
  }

  /** One planning for one id, however often it is asked. */
  start(id: string, task: SeasonTask): SeasonPlanReply {
    const known = this.jobs.get(id);
    if (known) return known.reply;
    const begun = { id, state: 'planning', seconds: 0, worth: null, bound: null, report: null, message: null } as const;
    const run = this.plan(task, ({ seconds, worth, bound }) => {
      const job = this.jobs.get(id);
      if (job?.reply.state === 'planning') job.reply = { ...job.reply, seconds, worth, bound: bound ?? null };
    });
    const job: Job = { reply: begun, run };
    this.jobs.set(id, job);
    run.outcome.then(
      (outcome) => {
        job.reply =
          outcome.kind === 'planned'
            ? doneWith(job.reply, outcome.report)
            : { ...job.reply, state: 'done', message: outcome.message };
      },
      (error: unknown) => {
        this.log.error({ err: error, planning: id }, 'planning failed');
        const message = 'The planning was stopped or ran out of memory. The plan before is kept.';
        job.reply = { ...job.reply, state: 'failed', message };
      },
    );
    for (const old of [...this.jobs.keys()].slice(0, -MOST_KEPT)) {
      this.jobs.get(old)?.run.stop();
      this.jobs.delete(old);
    }
    return begun;
  }

  /** Ends a planning with the best plan it has. */
  stop(id: string): void {
    this.jobs.get(id)?.run.stop();
  }
}
