import { type HeldBack } from './heldBack';
import { type OpenStep } from './openBefore';
import { HEAT_HOLDS_MIN } from './testedPart';

/** Why a tap is stopped, in a sentence: what is left of a wait, what comes first, and whether it is part of what was tested. */
export function heldBackWords(held: HeldBack): string {
  switch (held.kind) {
    case 'before':
      return openStepWords(held.open.find(({ part }) => part !== undefined) ?? held.open[0]);
    case 'left':
      return `“${held.task.words}” is not over, ${minutesWords(held.leftMin)} left: its time is part of ${held.part ? 'what was tested' : 'the recipe'}.`;
    case 'too-old':
      return `“${held.task.words}” was over ${HEAT_HOLDS_MIN} minutes ago or longer: it has cooled since, do it again.`;
  }
}

/** What another step waits for, how long still, and why. */
export function openStepWords({ task, why, leftMin, part }: OpenStep): string {
  switch (why) {
    case 'runs':
      // What a look at the pot ends has no time of its own.
      if (leftMin === undefined) return `“${task.words}” is looked at first: say at its clock when it is done.`;
      return `“${task.words}” is not over, ${minutesWords(leftMin)} left: its time is part of ${part ? 'what was tested' : 'the recipe'}.`;
    case 'untold':
      return part
        ? `“${task.words}” comes first: it is part of what was tested.`
        : `“${task.words}” comes before it, with what goes in there.`;
    case 'cold':
      return `“${task.words}” was over an hour ago: do it again, hot is part of what was tested.`;
  }
}

/** "11 h 40 min", rounded up: what is left is never told shorter. */
function minutesWords(minutes: number): string {
  const whole = Math.max(1, Math.ceil(minutes));
  const [hours, rest] = [Math.floor(whole / 60), whole % 60];
  if (hours === 0) return `${whole} min`;
  return rest === 0 ? `${hours} h` : `${hours} h ${rest} min`;
}
