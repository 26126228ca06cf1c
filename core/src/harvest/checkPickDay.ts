const DAY_MS = 24 * 60 * 60_000;

/** A phone's clock, or its zone, may be off by this much. */
const CLOCK_SLACK_MS = DAY_MS / 2;
/** A pick older than this is another year's, and a slip of the date. */
const OLDEST_DAYS = 300;

export type PickDayCheck = { kind: 'ok' } | { kind: 'refusal'; reason: string; instead: string[] };

/** Whether a pick can have come in at that time: not tomorrow, and not last year. */
export function checkPickDay(pickedAt: number, now: number): PickDayCheck {
  if (pickedAt > now + CLOCK_SLACK_MS) {
    const reason = 'That day is still to come: write it down when it is picked.';
    return { kind: 'refusal', reason, instead: ['today'] };
  }
  if (pickedAt < now - OLDEST_DAYS * DAY_MS) {
    const reason = 'That is last year: is it the right date? What was left of it is long gone.';
    return { kind: 'refusal', reason, instead: ['today'] };
  }
  return { kind: 'ok' };
}
