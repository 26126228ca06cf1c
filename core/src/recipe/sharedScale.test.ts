import fc from 'fast-check';
import { type Balance } from './cardBalances';
import { scaleOf } from './sharedScale';

const KINDS = ['vinegar', 'low-acid', 'sugar', 'salt', 'water'] as const;
const balance = (kind: (typeof KINDS)[number], times: number, open = 0.04): Balance =>
  ({ kind, share: { low: times * (1 - open), high: times * (1 + open) }, isMain: kind === 'low-acid' }) as Balance;
const holds = (share: ReturnType<typeof scaleOf>, times: number) =>
  share !== undefined && share.low <= times * 1.05 && share.high >= times * 0.95;

const anyTimes = fc.double({ min: 0.2, max: 8, noNaN: true });
const far = fc.double({ min: 1.6, max: 4, noNaN: true });

test('the size of a batch is what most lines agree on, and one line that was changed moves none of the others', () => {
  fc.assert(
    fc.property(anyTimes, fc.constantFrom(...KINDS), far, fc.boolean(), (times, changed, by, isMore) => {
      const all = KINDS.map((kind) => balance(kind, kind === changed ? times * (isMore ? by : 1 / by) : times));
      expect(holds(scaleOf(all), times)).toBe(true);
      // In whatever order the lines were written.
      expect(scaleOf([...all].reverse())).toEqual(scaleOf(all));
    }),
  );
});

test('where no two lines agree, the main food decides, and without one the acid says how much the batch bears', () => {
  fc.assert(
    fc.property(anyTimes, far, (times, by) => {
      const acidAndSugar = [balance('vinegar', times), balance('sugar', times * by * by)];
      expect(holds(scaleOf([...acidAndSugar, balance('low-acid', times * by)]), times * by)).toBe(true);
      expect(holds(scaleOf(acidAndSugar), times)).toBe(true);
    }),
  );
  expect(scaleOf([])).toBeUndefined();
  expect(scaleOf([{ ...balance('sugar', 1), free: true }])).toBeUndefined();
});
