import * as v from 'valibot';

/** Ids are made by the client, UUID v7, so that a repeated write is known as the same one. */
export const Id = v.pipe(v.string(), v.uuid('must be a UUID'));

/** Epoch milliseconds between 2000 and 2100: anything else is a clock gone wrong. */
export const Time = v.pipe(
  v.number('must be a time in milliseconds'),
  v.integer('must be whole milliseconds'),
  v.minValue(Date.UTC(2000), 'is before the year 2000'),
  v.maxValue(Date.UTC(2100), 'is after the year 2100'),
);

/** A day of the calendar that there is: not the 31st of February. */
export const Day = v.pipe(
  v.string(),
  v.isoDate('must be a day such as 2026-08-29'),
  v.check((day) => {
    const at = new Date(`${day}T00:00:00Z`);
    return !Number.isNaN(at.getTime()) && at.toISOString().startsWith(day);
  }, 'is no day of the calendar'),
);

/** An id is one thing's alone. */
export const oneOfEach = <Thing extends { readonly id: string }>() =>
  v.check<Thing[], string>((things) => new Set(things.map(({ id }) => id)).size === things.length, 'hold one id twice');
