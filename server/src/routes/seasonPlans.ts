import { Router } from 'express';
import { type Logger } from 'pino';
import * as v from 'valibot';
import { SeasonPlanRequest } from '@hoddle/contract/season';
import { type Database } from '../db/openDatabase';
import { readState } from '../db/readState';
import { Problem } from '../problem';
import { SeasonJobs } from '../season/seasonJobs';
import { type PlanSeasons } from '../workers/seasonPool';

/**
 * `POST /api/season-plans`: what to make when, from the household as it is. Answered at once with a job to look at; its
 * plan is only kept once the household takes it.
 */
export function seasonPlansRoute(db: Database, plan: PlanSeasons, log: Logger): Router {
  const jobs = new SeasonJobs(plan, log);
  return Router()
    .post('/season-plans', async (req, res) => {
      const { id, ...request } = v.parse(SeasonPlanRequest, req.body);
      const reply = jobs.reply(id) ?? jobs.start(id, { state: readState(db), request });
      res.status(202).json(reply);
    })
    .get('/season-plans/:id', (req, res) => {
      const reply = jobs.reply(req.params.id);
      if (!reply)
        throw new Problem(404, 'not-found', 'No planning of this name is under way. The plan before is kept.');
      res.json(reply);
    })
    .delete('/season-plans/:id', (req, res) => {
      jobs.stop(req.params.id);
      res.status(204).end();
    });
}
