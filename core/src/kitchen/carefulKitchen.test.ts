import { chanceFrom } from '../../bench/chance';
import { hastyDay } from '../../bench/kitchen/hastyHands';
import { kitchenFaults } from '../../bench/kitchen/kitchenFaults';

const SEED = 20_260_829;
const DAYS = 1_000;

/** 5,000 days in hasty hands, two screens, waits cut, boils lost, altitudes changed. */
test.each([0, 1, 2, 3, 4])(
  'no jar without its needed steps in order and in time, none shorter than the table, no wait ended unasked: days %#',
  (part) => {
    let [wentIn, ran, late] = [0, 0, 0];
    for (let k = part * DAYS; k < (part + 1) * DAYS; k++) {
      const day = hastyDay(chanceFrom(SEED + k));
      expect([k, ...kitchenFaults(day)]).toEqual([k]);
      const states = [...day.running.loads.values()].map(({ state }) => state);
      wentIn += states.filter(({ startedAt }) => startedAt !== undefined).length;
      ran += states.filter(({ heatOffAt }) => heatOffAt !== undefined).length;
      late += day.taps.filter(({ isLate, event }) => isLate && event.type === 'load-started').length;
    }
    // The days are not idle: loads go in, run, and some are told hours later.
    expect({ wentIn: wentIn > 200, ran: ran > 50, late: late > 20 }).toEqual({ wentIn: true, ran: true, late: true });
  },
);
