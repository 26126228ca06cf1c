import { Router } from 'express';
import * as v from 'valibot';
import { Clock as ClockSchema } from '@hoddle/contract/clock';
import { Household } from '@hoddle/contract/household';
import { type Clock } from '../clock';
import { type Database } from '../db/openDatabase';
import { readHousehold } from '../db/readState';
import { Problem } from '../problem';
import { StateReply } from '../stateReply';

/** The household itself: all of its state, its settings, and the clock of a demo. */
export function householdRoute(db: Database, clock: Clock): Router {
  const reply = new StateReply(db);
  return Router()
    .get('/state', (req, res) => reply.send(req, res))
    .put('/household', async (req, res) => {
      const settings = v.parse(Household, req.body);
      const { canners, kitchen, ownJars, places, bestMonths, dateOrder, instruments, ...household } = settings;
      // A page of an older version does not know of these: what was kept stays.
      const later = { kitchen, ownJars, places, bestMonths, dateOrder, instruments };
      const told = Object.fromEntries(Object.entries(later).filter(([part]) => part in req.body));
      await db.write(async (transaction) => {
        await db.tables.households.update({ ...household, ...told }, { where: { id: 1 }, transaction });
        await db.tables.canners.destroy({ where: {}, transaction });
        await db.tables.canners.bulkCreate(
          canners.map((canner, position) => ({ ...canner, position })),
          { transaction },
        );
      });
      res.json(settings);
    })
    .put('/clock', async (req, res) => {
      const { offsetMs } = v.parse(ClockSchema, req.body);
      const { demoOffsetMs } = readHousehold(db);
      if (demoOffsetMs === null) throw new Problem(409, 'real-clock', 'This household runs on the real clock.');
      if (offsetMs < demoOffsetMs) throw new Problem(409, 'clock-back', 'The demo clock only goes forward.');
      await db.write((transaction) =>
        db.tables.households.update({ demoOffsetMs: offsetMs }, { where: { id: 1 }, transaction }),
      );
      res.json({ now: clock.now(offsetMs), demoOffsetMs: offsetMs });
    });
}
