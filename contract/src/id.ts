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
