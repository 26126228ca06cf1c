import { begunLater } from './begunLater';
import { DAY_MIN } from './kitchenSetup';
import { planDay } from './planDay';
import { type DayQuestion } from './questionOfDay';

/** A beginning is looked for on these. */
const QUARTER_MIN = 15;
/** Nodes that each try may take. */
const NODES_A_TRY = 400;

/**
 * A day planned backwards: how late it can begin and still be over by the minute asked for, to the quarter of an hour, on whichever
 * date that is; days that hang together stay on theirs. No produce is lost for it that was saved begun at once. Halving; a quarter
 * of an hour later no such plan was found.
 *
 * @returns minutes after its beginning; undefined where nothing is asked, or no plan is over by then
 */
export function latestBegin(question: DayQuestion): number | undefined {
  const { overByMin, startMinute, later } = question;
  if (overByMin === undefined) return undefined;
  const planAt = (quarters: number) => {
    const planner = planDay(begunLater(question, quarters * QUARTER_MIN));
    return planner.kind === 'planner' ? planner.step(NODES_A_TRY).plan : undefined;
  };
  const atOnce = planAt(0);
  if (!atOnce) return undefined;
  const goes = (quarters: number) => {
    const plan = planAt(quarters);
    return plan !== undefined && plan.unsaved.every((batchId) => atOnce.unsaved.includes(batchId));
  };
  const onItsDate = DAY_MIN - 1 - startMinute;
  const until = later && later.size > 0 ? Math.min(overByMin, onItsDate) : overByMin;
  let [least, most] = [0, Math.floor(until / QUARTER_MIN) + 1];
  while (most - least > 1) {
    const middle = (least + most) >> 1;
    if (goes(middle)) least = middle;
    else most = middle;
  }
  return least * QUARTER_MIN;
}
