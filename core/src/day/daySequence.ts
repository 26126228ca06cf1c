import { type Card, type CardStep } from '../handbook/cards/card';
import { type Step, stepOf } from '../handbook/steps';
import { outputRule, type PotOutput } from '../recipe/potOutputs';
import { type Batch, cardOf, frozenPart, type MadeBy } from './batch';
import { isLongWait } from './longWait';

/** One step of a batch as a day has it. */
export interface DayStep {
  readonly entry: string;
  readonly step: Step;
  /** The crops it works on; all of the batch where none are named. */
  readonly of?: readonly string[];
  readonly optional?: true;
  /** The entries it waits for, where that is not simply the one before. */
  readonly after?: readonly string[];
}

/** Jars that did not seal are processed again: their contents heated, and filled anew. Handbook rule 9. */
const AGAIN: readonly DayStep[] = ['reheat', 'fill'].map(plain);

/** What stands longer than this, step after step, is begun long before its jars: a crock of kraut, days in syrup. */
const MOST_WAIT_MIN = 2.5 * 24 * 60;

/** Optional steps that most kitchens leave out: they are in only where somebody wants them. Common practice. */
const USUALLY_OUT = ['anti-brown-bath', 'blister-peel', 'filter-brine'];

/** Steps after which a jar is full but for its liquid: then it is only closed. */
const PACKS = ['raw-pack', 'pack-hot'];

/**
 * A card's steps as a day has them: a raw pack is covered and then closed. Boiling the jars goes with making them ready.
 * What is made days or weeks before the jars is left out: {@link madeBefore}.
 *
 * @param without optional steps that are left out
 */
export function daySequence(card: Card, without: readonly string[] = usuallyWithout(card)): DayStep[] {
  const all = allSteps(card, without);
  return all.slice(lastMadeBefore(all) + 1);
}

/**
 * The steps of a batch: those of its card, or of processing unsealed jars again. What its pot gives is taken off at a step of
 * its own; what another pot gave begins where its card goes on from there.
 */
export function stepsOfBatch(batch: MadeBy & Pick<Batch, 'without' | 'againOf' | 'gives'>): DayStep[] {
  if (batch.againOf !== undefined) return [...AGAIN];
  const card = cardOf(batch);
  if (!card) return [plain('wash'), plain('fill')];
  const steps = withThaw(daySequence(card, batch.without), batch);
  if (batch.from) return stepsFrom(steps, batch.from.kind);
  return (batch.gives ?? []).reduce(withTakingOff, steps);
}

/** The ways to thaw: overnight in the cold unless that is left out, then on the counter. */
export const THAW_COLD = 'thaw-cold';
export const THAW_COUNTER = 'thaw-counter';

/** A crumb, and all but a crumb. */
const SOME = 0.005;
const ALL = 1 - SOME;

/** What was frozen thaws first, and is not washed and picked over a second time. */
function withThaw(steps: DayStep[], batch: Pick<Batch, 'uses' | 'without'>): DayStep[] {
  const part = frozenPart(batch);
  if (part <= SOME) return steps;
  const thaw = plain(batch.without?.includes(THAW_COLD) ? THAW_COUNTER : THAW_COLD);
  return [thaw, ...(part >= ALL ? steps.filter(({ step }) => !step.row.step.startsWith('wash')) : steps)];
}

function stepsFrom(steps: readonly DayStep[], kind: PotOutput): DayStep[] {
  const { beginsAt } = outputRule(kind);
  return steps.slice(steps.findIndex(({ entry }) => entry === beginsAt));
}

function withTakingOff(steps: DayStep[], kind: PotOutput): DayStep[] {
  const { step, before } = outputRule(kind);
  const at = steps.findIndex(({ entry }) => entry === before);
  return at < 0 ? steps : [...steps.slice(0, at), plain(step), ...steps.slice(at)];
}

/** The steps of a card that are over before its day begins, the long wait last; none for most. */
export function madeBefore(card: Card): DayStep[] {
  const all = allSteps(card, usuallyWithout(card));
  return all.slice(0, lastMadeBefore(all) + 1);
}

/** The optional steps of a card that most kitchens leave out. */
export function usuallyWithout({ steps }: Card): string[] {
  return steps.filter(({ step, optional }) => optional && USUALLY_OUT.includes(step)).map(({ step }) => step);
}

/** What a card's page does in place of a step that is left out, and after which step. */
const IN_PLACE: Readonly<Record<string, { readonly step: string; readonly after: string }>> = {
  'strain-twice': { step: 'strain-again', after: 'strain' },
};

/** What is done in place of an optional step of a card, as its page has it; undefined where it is only left out. */
export function inPlaceOf(
  { instead }: Pick<Card, 'instead'>,
  step: string,
): { step: string; note: string } | undefined {
  const other = instead.find(({ of, may }) => of === step && IN_PLACE[may]);
  const own = other && IN_PLACE[other.may];
  return own && { step: own.step, note: other.note };
}

function allSteps(card: Card, without: readonly string[]): DayStep[] {
  const isOut = ({ step, optional }: CardStep) => optional === true && without.includes(step);
  const more = card.instead.flatMap(({ of, may }) => {
    const own = IN_PLACE[may];
    return own && card.steps.some((each) => each.step === of && isOut(each)) ? [own] : [];
  });
  const done = card.steps
    .filter((each) => !each.sterile && !isOut(each))
    .flatMap((each): CardStep[] => [
      each,
      ...more.filter(({ after }) => after === each.step).map(({ step }) => ({ step })),
    ]);
  const packed = done.findIndex(({ step }) => PACKS.includes(step));
  return done.map((own, i) =>
    dayStep(packed >= 0 && i > packed && own.step === 'fill' ? { ...own, step: 'close' } : own),
  );
}

function dayStep({ step: entry, of, minutes, optional, after }: CardStep): DayStep {
  const step = stepOf(entry);
  // A card's own minutes rule over the table's, where the step waits at all.
  const waits = minutes && (step.waitMinutes[1] > 0 || minutes[1] > 0);
  return {
    entry,
    step: waits ? { ...step, waitMinutes: minutes } : step,
    ...(of && { of }),
    ...(optional && { optional }),
    ...(after && { after }),
  };
}

function plain(entry: string): DayStep {
  return { entry, step: stepOf(entry) };
}

/** The last long wait of a card that takes more than two days and a half in all; none of one that is made in a day or two. */
function lastMadeBefore(steps: readonly DayStep[]): number {
  const isLong = ({ step }: DayStep) => isLongWait(step);
  const all = steps.filter(isLong).reduce((sum, { step }) => sum + step.waitMinutes[0], 0);
  return all > MOST_WAIT_MIN ? steps.findLastIndex(isLong) : -1;
}
