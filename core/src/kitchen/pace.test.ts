import fc from 'fast-check';
import { type Made, productQuestion } from '../../bench/day/productDay';
import { liveDay } from '../../bench/kitchen/liveDay';
import { dayState } from './dayState';
import { pacesLearned, pacesSeen, type PaceSeen } from './pace';

const seen = (step: string, times: number, usualMin = 20): PaceSeen => ({
  ...{ step, usualMin, tookMin: usualMin * times, pounds: 10, at: 0 },
});

test('nothing timed: the pace is what the household says of itself, or the handbook’s', () => {
  expect(pacesLearned([])).toEqual({ general: 1, of: [] });
  expect(pacesLearned([], 1.3).general).toBeCloseTo(1.3, 9);
});

test('a step seen often goes by its own times, one never seen by what they have in common', () => {
  const many = pacesLearned(Array.from({ length: 30 }, () => seen('core', 1.6)));
  expect(many.of[0]!.factor).toBeCloseTo(1.6, 1);
  const once = pacesLearned([seen('core', 1.6)]);
  expect(once.of[0]!.factor).toBeGreaterThan(1.1);
  expect(once.of[0]!.factor).toBeLessThan(1.6);
  expect(once.general).toBeGreaterThan(1);
  expect(once.general).toBeLessThan(once.of[0]!.factor);
});

test('a factor always lies between what was believed and what was seen, and more times move it further', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.4, max: 2.5, noNaN: true }), fc.integer({ min: 1, max: 20 }), (times, count) => {
      const at = (n: number) => pacesLearned(Array.from({ length: n }, () => seen('pit', times))).of[0]!.factor;
      const [low, high] = [Math.min(1, times), Math.max(1, times)];
      expect(at(count)).toBeGreaterThanOrEqual(low - 1e-9);
      expect(at(count)).toBeLessThanOrEqual(high + 1e-9);
      expect(Math.abs(at(count + 1) - times)).toBeLessThanOrEqual(Math.abs(at(count) - times) + 1e-9);
    }),
  );
});

test('a day told step by step teaches its paces, by the pound where a step is done by the pound; slips are left out', () => {
  const made: Made[] = [['tomatoes-crushed', 'quart', [7, 7], 44]];
  const live = liveDay(productQuestion(made), 3)!;
  const all = pacesSeen(live.question.batches, live.question, dayState(live.dayEvents));
  expect(new Set(all.map(({ step }) => step))).toEqual(
    new Set(
      ['ready-jars', 'wash', 'scald-peel', 'core', 'fill', 'acid', 'crush-heat'].filter((step) =>
        all.some((each) => each.step === step),
      ),
    ),
  );
  expect(all.length).toBeGreaterThan(6);
  const { of } = pacesLearned(all);
  const wash = of.find(({ step }) => step === 'wash')!;
  expect(wash.minPerLb! / wash.usualMinPerLb!).toBeGreaterThan(0.7);
  // Ticked off a day later: nothing is learned from that.
  const late = live.dayEvents.map((event) => (event.type === 'step-done' ? { ...event, at: event.at + 9e7 } : event));
  expect(pacesSeen(live.question.batches, live.question, dayState(late))).toEqual([]);
});
