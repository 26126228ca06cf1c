import fc from 'fast-check';
import { CARDS } from '../handbook/cards';
import { CANNERS } from '../handbook/canners';
import { handbookCanner } from '../canner/handbookCanner';
import { type Batch } from './batch';
import { daySequence, inPlaceOf, madeBefore } from './daySequence';
import { USUAL_KITCHEN } from './kitchenSetup';
import { otherQuestion } from './otherPlans';
import { planDay } from './planDay';

test('only what a card marks as optional is left out, whatever is asked; what its page does in place of it is done, and only then', () => {
  let replaced = 0;
  fc.assert(
    fc.property(
      fc
        .constantFrom(...CARDS)
        .chain((card) =>
          fc.record({ card: fc.constant(card), without: fc.subarray(card.steps.map(({ step }) => step)) }),
        ),
      ({ card, without }) => {
        const names = daySequence(card, without).map(({ entry }) => entry);
        const before = new Set(madeBefore(card).map(({ entry }) => entry));
        const must = card.steps.filter(
          (own) => !own.sterile && !(own.optional && without.includes(own.step)) && !before.has(own.step),
        );
        // After a raw pack a jar is only closed.
        const kept = names
          .map((entry) => (entry === 'close' ? 'fill' : entry))
          .filter((entry) => entry !== 'strain-again');
        if (before.size === 0) expect([card.card, kept]).toEqual([card.card, must.map(({ step }) => step)]);
        const out = card.steps.filter(({ step, optional }) => optional && without.includes(step));
        const isReplaced = out.some(({ step }) => inPlaceOf(card, step)) && names.includes('strain');
        if (isReplaced) replaced++;
        expect([card.card, names.includes('strain-again')]).toEqual([card.card, isReplaced]);
      },
    ),
    { numRuns: 1_500 },
  );
  expect(replaced).toBeGreaterThan(2);
});

test('grape juice is made in a day where it is strained again in place of settling; settled, it takes more than one', () => {
  const row = CANNERS.find(({ canner }) => canner === '33-quart enamel');
  if (!row) throw new Error('no such canner');
  const juice = (without: readonly string[]): Batch => ({
    ...{ id: 'b', product: 'grape-juice', pack: 'hot', jar: 'quart', method: 'boiling-water', altitudeFt: 0 },
    ...{ processMinutes: 5, cannerId: 'c', startAt: 0, without },
    uses: [{ pickId: 'p', crop: 'grape', massKg: 11, softKg: 0 }],
    loads: [{ id: 'load', number: 1, jars: 7 }],
  });
  const endOf = (without: readonly string[]) => {
    const planner = planDay({
      batches: [juice(without)],
      canners: [handbookCanner(row, { id: 'c' })],
      setup: USUAL_KITCHEN,
      startMinute: 480,
    });
    const plan = planner.kind === 'planner' ? planner.step(300).plan : undefined;
    if (!plan) throw new Error('no plan');
    return { hours: plan.makespanMin / 60, words: plan.tasks.map(({ task }) => task.words) };
  };
  const settled = endOf([]);
  const strained = endOf(['settle-24h']);
  const day = { batches: [juice([])], canners: [], setup: USUAL_KITCHEN, startMinute: 480 };
  const out = otherQuestion(day, { kind: 'leave-out', batchId: 'b', step: 'settle-24h' });
  expect(out?.batches[0]?.without).toEqual(['settle-24h']);
  expect(otherQuestion(day, { kind: 'leave-out', batchId: 'b', step: 'drip-2h' })).toBeUndefined();
  // By the card: two hours of drip in both, a day in the cold at least in one.
  expect(settled.hours).toBeGreaterThan(24);
  expect(strained.hours).toBeLessThan(9);
  expect(strained.words.some((words) => words.startsWith('Strain again'))).toBe(true);
  expect(settled.words.some((words) => words.startsWith('Strain again'))).toBe(false);
});
