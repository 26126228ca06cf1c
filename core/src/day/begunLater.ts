import { type ErrandsTold } from './errand';
import { DAY_MIN } from './kitchenSetup';
import { type DayQuestion } from './questionOfDay';

const DAYS_A_WEEK = 7;

/**
 * The same batches, begun so many minutes later, or below 0 earlier: all that is spoken of stays at its moment. Past midnight it is
 * the next date's weekday, with what was told of errands for that one.
 */
export function begunLater(question: DayQuestion, byMin: number): DayQuestion {
  const { startMinute, weekday, errands, useBy, wishes, overByMin, later } = question;
  const days = Math.floor((startMinute + byMin) / DAY_MIN);
  return {
    ...question,
    startMinute: startMinute + byMin - days * DAY_MIN,
    ...(weekday !== undefined && { weekday: (((weekday + days) % DAYS_A_WEEK) + DAYS_A_WEEK) % DAYS_A_WEEK }),
    ...(errands && days !== 0 && { errands: errandsFrom(errands, days) }),
    ...(useBy && { useBy: new Map([...useBy].map(([id, minute]) => [id, Math.max(0, minute - byMin)] as const)) }),
    ...(later && {
      later: new Map(
        [...later].flatMap(([id, own]) => {
          const left = own.days - days;
          return left > 0 ? [[id, { days: left, fromMin: own.fromMin - byMin }] as const] : [];
        }),
      ),
    }),
    ...(wishes && {
      wishes: wishes.map((wish) => (wish.kind === 'pin' ? { ...wish, atMin: wish.atMin - byMin } : wish)),
    }),
    ...(overByMin !== undefined && { overByMin: overByMin - byMin }),
  };
}

/** Told of days counted from another date. */
function errandsFrom({ set, struck }: ErrandsTold, days: number): ErrandsTold {
  const from = <Told extends { readonly day?: number }>(told: readonly Told[]) =>
    told.flatMap((each) => {
      const day = (each.day ?? 0) - days;
      return day < 0 ? [] : [{ ...each, day }];
    });
  return { set: from(set), struck: from(struck) };
}
