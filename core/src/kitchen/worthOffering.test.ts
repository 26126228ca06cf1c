import fc from 'fast-check';
import { isWorthOffering } from './worthOffering';

const MIN = 60_000;
const asked = (keptMin: number | undefined, bestMin: number, now: number, more: object = {}, isFoodWaiting = false) =>
  isWorthOffering(
    { ...(keptMin !== undefined && { keptMin }), bestMin, isFoodWaiting },
    { orderAt: 0, ...more },
    { startAt: 0, now: now * MIN },
  );

test('ten minutes sooner are worth a word, five are not, and nothing in the twenty minutes after an order', () => {
  expect(asked(300, 290, 60)).toBe(true);
  expect(asked(300, 291, 60)).toBe(false);
  expect(asked(300, 250, 19)).toBe(false);
  expect(asked(300, 250, 20)).toBe(true);
});

test('what was refused is not said again until it is ten minutes better still, nor within twenty minutes', () => {
  const kept = { endAt: 280 * MIN, at: 40 * MIN };
  expect(asked(300, 275, 90, { kept })).toBe(false);
  expect(asked(300, 270, 90, { kept })).toBe(true);
  expect(asked(300, 200, 55, { kept })).toBe(false);
});

test('food that waits too long is worth less, an order that cannot be kept everything', () => {
  expect(asked(300, 294, 1, {}, true)).toBe(true);
  expect(asked(300, 297, 60, {}, true)).toBe(false);
  expect(asked(undefined, 900, 0)).toBe(true);
});

test('over a day of looks every minute no more than one offer in twenty minutes is made, whoever answers', () => {
  fc.assert(
    fc.property(fc.array(fc.record({ gain: fc.nat(60), takes: fc.boolean() }), { maxLength: 400 }), (looks) => {
      let state: { orderAt: number; kept?: { endAt: number; at: number } } = { orderAt: 0 };
      let last = -Infinity;
      for (const [minute, { gain, takes }] of looks.entries()) {
        const bestMin = 1_000 - gain;
        const now = minute * MIN;
        if (!isWorthOffering({ keptMin: 1_000, bestMin, isFoodWaiting: false }, state, { startAt: 0, now })) continue;
        expect(gain).toBeGreaterThanOrEqual(10);
        expect(minute - last).toBeGreaterThanOrEqual(20);
        last = minute;
        state = takes ? { ...state, orderAt: now } : { ...state, kept: { endAt: bestMin * MIN, at: now } };
      }
    }),
  );
});
