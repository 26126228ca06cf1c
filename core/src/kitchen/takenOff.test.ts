import { type DayEvent } from './dayEvent';
import { takenOffMl } from './takenOff';

const told = (id: string, at: number, more: object) => ({ id, day: 'd', at, ...more }) as DayEvent;
const juice = (id: string, at: number, volumeMl: number, batchId = 'sauce') =>
  told(id, at, { type: 'output-measured', batchId, taskId: 't', kind: 'thin-juice', volumeMl });

test('what came off a pot is its last measure; what was taken back, or is of another pot, counts for nothing', () => {
  expect(takenOffMl('sauce', [])).toBeUndefined();
  expect(takenOffMl('sauce', [juice('a', 1, 4_000, 'other')])).toBeUndefined();
  const events = [juice('b', 2, 5_200), juice('a', 1, 4_000), juice('c', 3, 9_000, 'other')];
  expect(takenOffMl('sauce', events)).toBe(5_200);
  expect(takenOffMl('sauce', [...events, told('d', 4, { type: 'taken-back', eventId: 'b' })])).toBe(4_000);
  // None at all was measured too.
  expect(takenOffMl('sauce', [juice('a', 1, 0)])).toBe(0);
});

test('what came off pots that were poured together came off the one they are now', () => {
  const join = (id: string, at: number, batchId: string, withId: string) =>
    told(id, at, { type: 'pots-joined', batchId, withId });
  const events = [juice('a', 1, 4_000), juice('b', 2, 3_000, 'second'), juice('c', 3, 2_000, 'third')];
  const joined = [...events, join('d', 4, 'second', 'third'), join('e', 5, 'sauce', 'second')];
  expect(takenOffMl('sauce', joined)).toBe(9_000);
  expect(takenOffMl('sauce', [...joined, told('f', 6, { type: 'taken-back', eventId: 'e' })])).toBe(4_000);
});
