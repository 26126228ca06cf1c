import { type DayQuestion } from '@hoddle/core/day/questionOfDay';
import fc from 'fast-check';
import { keyOf } from './dayQuestion';

/** The same values with the fields of each object the other way round. */
function turned(value: unknown): unknown {
  if (value instanceof Map) return new Map([...value].map(([key, own]) => [key, turned(own)] as const));
  if (Array.isArray(value)) return value.map(turned);
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value)
      .reverse()
      .map(([key, own]) => [key, turned(own)]),
  );
}
const key = (question: unknown) => keyOf(question as DayQuestion);

test('a question has one key in whatever order its fields come, and another for another value', () => {
  const field = fc.stringMatching(/^[a-z]{1,6}$/);
  const value = fc.oneof(fc.integer(), fc.string(), fc.boolean());
  const batch = fc.dictionary(field, fc.oneof(value, fc.array(value, { maxLength: 3 }), fc.dictionary(field, value)));
  fc.assert(
    fc.property(fc.array(batch, { maxLength: 3 }), fc.integer(), (batches, startMinute) => {
      const question = { batches, startMinute, useBy: new Map([['a', 1]]) };
      expect(key(turned(question))).toBe(key(question));
      expect(key({ ...question, startMinute: startMinute + 1 })).not.toBe(key(question));
      expect(key({ ...question, useBy: new Map([['a', 2]]) })).not.toBe(key(question));
      expect(key({ ...question, batches: [...batches, {}] })).not.toBe(key(question));
    }),
  );
});
