import { Router } from 'express';
import * as v from 'valibot';
import { ScheduleRequest } from '@hoddle/contract/schedule';
import { Problem } from '../problem';
import { type Schedule } from '../workers/schedulePool';

/** `POST /api/schedule`: any tasks and resources, laid out so that the last one ends as early as can be. */
export function scheduleRoute(schedule: Schedule): Router {
  return Router().post('/schedule', async (req, res) => {
    const answer = await schedule(v.parse(ScheduleRequest, req.body));
    switch (answer.kind) {
      case 'schedule':
        res.json(answer.reply);
        return;
      case 'ruleNotMet':
        throw new Problem(422, 'rule-not-met', answer.sentence);
      case 'notFound':
        throw new Problem(422, 'not-found-in-time', 'No schedule was found in that time; none is ruled out either.');
      case 'senseless':
        throw new Problem(400, 'invalid', `${answer.sentence}.`);
    }
  });
}
