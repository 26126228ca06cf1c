import * as v from 'valibot';
import { CALENDAR_PARTS, type CalendarPart } from '@hoddle/core/formats/calendar/calendarPart';
import { Id, Time } from './id';
import { PageSizeSchema } from './labels';

const Words = (most: number) => v.pipe(v.string(), v.maxLength(most, 'is too long'));
const Item = v.object({ words: Words(600), note: v.optional(Words(2_000)) });
const MOST_ROWS = 5_000;

/** A page to be set: headings, words, lists and tables. */
export const PaperSchema = v.object({
  title: v.pipe(Words(300), v.minLength(1, 'needs a title')),
  note: v.optional(Words(600)),
  onePage: v.optional(v.literal(true)),
  parts: v.pipe(
    v.array(
      v.variant('kind', [
        v.object({ kind: v.literal('heading'), words: Words(300) }),
        v.object({ kind: v.literal('words'), words: Words(4_000), bold: v.optional(v.literal(true)) }),
        v.object({
          kind: v.literal('list'),
          items: v.pipe(v.array(Item), v.maxLength(MOST_ROWS, 'are too many')),
          tick: v.optional(v.literal(true)),
        }),
        v.object({
          kind: v.literal('table'),
          columns: v.pipe(
            v.array(
              v.object({
                words: Words(60),
                share: v.pipe(v.number(), v.minValue(1, 'must be 1 or more'), v.maxValue(100, 'must be at most 100')),
              }),
            ),
            v.minLength(1, 'must name a column'),
            v.maxLength(10, 'are too many'),
          ),
          rows: v.pipe(v.array(v.pipe(v.array(Item), v.maxLength(10))), v.maxLength(MOST_ROWS, 'are too many')),
        }),
      ]),
    ),
    v.maxLength(2_000, 'are too many'),
  ),
  foot: v.optional(Words(600)),
  /** schema.org/Recipe. */
  recipe: v.optional(v.record(v.string(), v.unknown())),
});

/** The body of `POST /api/papers`. */
export const PaperRequest = v.object({ paper: PaperSchema, page: PageSizeSchema });
export type PaperRequest = v.InferOutput<typeof PaperRequest>;

const Common = {
  id: Id,
  name: v.pipe(v.string(), v.trim(), v.minLength(1, 'needs a name'), v.maxLength(80, 'is too long')),
};

/** A page to look at for a while, or a calendar to follow. */
export const OpenContent = v.variant('kind', [
  v.object({ kind: v.literal('page'), paper: PaperSchema, page: PageSizeSchema }),
  v.object({
    kind: v.literal('calendar'),
    parts: v.pipe(
      v.array(v.picklist(CALENDAR_PARTS, 'must be days, steps, calls or jars')),
      v.minLength(1, 'must name a part'),
    ),
  }),
]);
export type OpenContent = v.InferOutput<typeof OpenContent>;

/** The body of `POST /api/open-addresses`: the key is the client's own, 256 random bits; the server keeps only its sum. */
export const OpenAddressRequest = v.object({
  ...Common,
  key: v.pipe(v.string(), v.regex(/^[\w-]{43}$/, 'must be 32 bytes as base64url')),
  /** Good until then; null for as long as nobody takes it back. */
  until: v.nullable(Time),
  content: OpenContent,
});
export type OpenAddressRequest = v.InferOutput<typeof OpenAddressRequest>;

/** An address that is open without a device's key. What it shows is not told again, nor is its key. */
export const OpenAddress = v.object({
  ...Common,
  kind: v.picklist(['page', 'calendar']),
  madeAt: v.number(),
  until: v.nullable(v.number()),
  revokedAt: v.nullable(v.number()),
  /** When it was asked for last. */
  askedAt: v.nullable(v.number()),
});
export type OpenAddress = v.InferOutput<typeof OpenAddress>;

/** The reply of `GET /api/open-addresses`. */
export const OpenAddressesReply = v.object({
  addresses: v.array(OpenAddress),
  /** Where other devices reach this server: empty while it is only for this machine. */
  reachedAt: v.array(v.string()),
});
export type OpenAddressesReply = v.InferOutput<typeof OpenAddressesReply>;

/** The query of `GET /api/calendar`: which parts, with commas between them; all of them unless said. */
export const CalendarQuery = v.object({
  parts: v.optional(
    v.pipe(
      v.string(),
      v.regex(
        /^(days|steps|calls|jars)(,(days|steps|calls|jars))*$/,
        'must be days, steps, calls or jars, with commas between',
      ),
    ),
    CALENDAR_PARTS.join(','),
  ),
});

/** The parts that a query names. */
export function partsNamed(told: string): CalendarPart[] {
  return CALENDAR_PARTS.filter((part) => told.split(',').includes(part));
}
