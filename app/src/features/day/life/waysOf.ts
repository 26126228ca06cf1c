import { nameOf } from '@hoddle/core/day/batch';
import { inOtherPack } from '@hoddle/core/day/otherPack';
import { leftToCook, type OtherPlan } from '@hoddle/core/day/otherPlans';
import { stepOf } from '@hoddle/core/handbook/steps';
import { type HouseholdPages } from '@hoddle/core/process/findProcess';
import { type Day } from '@hoddle/core/kitchen/dayInHand';

interface Way {
  readonly words: string;
  readonly other: OtherPlan;
}

/** A step that waits less is not left out to save time. */
const WORTH_MIN = 30;

/** Other ways to do a day that may save time, what costs least first. */
export function savingWays(day: Day, canners: readonly { readonly id: string; readonly name: string }[]): Way[] {
  const used = canners.filter(({ id }) => day.loads.some(({ cannerId }) => cannerId === id));
  return [
    { words: 'Loads as full as can be', other: { kind: 'loads', style: 'full' } },
    { words: 'Loads evened out', other: { kind: 'loads', style: 'even' } },
    { words: 'Loads to fit each canner', other: { kind: 'loads', style: 'beside' } },
    ...day.batches.flatMap((batch) =>
      leftToCook(batch)
        .filter((step) => stepOf(step).waitMinutes[1] >= WORTH_MIN)
        .map((step): Way => ({
          words: `${nameOf(batch)} without “${stepOf(step).plainWords}”`,
          other: { kind: 'leave-out', batchId: batch.id, step },
        })),
    ),
    { words: 'Nothing else to do', other: { kind: 'plain' } },
    { words: 'With one more helper', other: { kind: 'helper' } },
    ...used.map(({ id, name }): Way => ({
      words: `With a second ${name}`,
      other: { kind: 'borrow', likeCannerId: id },
    })),
  ];
}

/** Those, and what the day would be with less. */
export function waysOf(
  day: Day,
  canners: readonly { readonly id: string; readonly name: string }[],
  pages: HouseholdPages,
): Way[] {
  const { cooks } = day.question.setup;
  const packed = day.batches.flatMap((batch): Way[] => {
    const other = inOtherPack(batch, pages);
    if (!other) return [];
    const words = `${nameOf(batch)}, ${other.pack} pack, ${other.processMinutes} min`;
    return [{ words, other: { kind: 'pack', batch: other } }];
  });
  const less = cooks.length > 1 ? [...cooks].reverse() : [];
  return [
    ...less.map(({ name }): Way => ({ words: `Without ${name}`, other: { kind: 'without', cook: name } })),
    ...packed,
    ...savingWays(day, canners),
  ];
}
