import { Router } from 'express';
import * as v from 'valibot';
import { SimulatedRequest } from '@hoddle/contract/instrument';
import { type Database } from '../db/openDatabase';
import { readHousehold } from '../db/readState';
import { SimulatedDevices } from '../devices/simulatedDevices';
import { SimulatedKitchen, USUAL_FAULTS } from '../devices/simulatedKitchen';
import { type HouseholdWatch } from '../instruments/householdWatch';
import { Problem } from '../problem';

/** So long have the simulated pots been on the burner when they are asked for. */
const SINCE_MS = 19 * 60_000;

/** What scales and probes tell now, and the simulated ones of a demo, which are off until somebody asks for them. */
export function instrumentsRoute(db: Database, watch: Pick<HouseholdWatch, 'now' | 'hub'>): Router {
  let devices: SimulatedDevices | undefined;
  const start = () => {
    const { altitudeFt } = readHousehold(db);
    const kitchen = new SimulatedKitchen({ ...USUAL_FAULTS, ...(altitudeFt !== null && { altitudeFt }) });
    const { hub } = watch;
    devices = new SimulatedDevices(kitchen, (line) => hub.take(line, hub.now()), { sinceMs: SINCE_MS });
    devices.start();
  };
  return Router()
    .get('/instruments', (_req, res) => {
      res.json(watch.now());
    })
    .post('/instruments/simulated', (req, res) => {
      const { what } = v.parse(SimulatedRequest, req.body);
      if (readHousehold(db).demoOffsetMs === null) {
        throw new Problem(409, 'real-kitchen', 'Only the demo has simulated instruments; for others: npm run devices.');
      }
      if (what === 'off') {
        devices?.stop();
        devices = undefined;
      } else if (!devices) start();
      if (what !== 'on' && what !== 'off' && !devices?.happen(what)) {
        throw new Problem(400, 'not-understood', 'Nothing of that kind happens in the simulated kitchen.');
      }
      res.status(204).end();
    });
}
