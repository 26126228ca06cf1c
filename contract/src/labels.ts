import * as v from 'valibot';
import { PAGES_MM, type PageSize } from '@hoddle/core/formats/labels/labelSheet';

const Millimetres = (least: number, most: number) =>
  v.pipe(
    v.number('must be a number of millimetres'),
    v.minValue(least, `must be ${least} or more`),
    v.maxValue(most, `must be at most ${most}`),
  );
const Whole = (least: number, most: number) =>
  v.pipe(
    v.number('must be a number'),
    v.integer('must be whole'),
    v.minValue(least, `must be ${least} or more`),
    v.maxValue(most, `must be at most ${most}`),
  );
const Line = v.pipe(v.string(), v.trim(), v.maxLength(200, 'is too long'));

export const PageSizeSchema = v.picklist(Object.keys(PAGES_MM) as [PageSize, ...PageSize[]], 'must be letter or a4');

/** Labels that one request may ask for. */
export const MOST_LABELS = 2_000;

export const LabelSheetSchema = v.object({
  page: PageSizeSchema,
  shape: v.picklist(['rect', 'round'], 'must be rect or round'),
  widthMm: Millimetres(8, 300),
  heightMm: Millimetres(8, 300),
  columns: Whole(1, 30),
  rows: Whole(1, 60),
  leftMm: Millimetres(0, 200),
  topMm: Millimetres(0, 200),
  gapXMm: Millimetres(0, 200),
  gapYMm: Millimetres(0, 200),
});

export const JarLabelSchema = v.object({
  name: v.pipe(Line, v.minLength(1, 'needs a name')),
  lines: v.pipe(v.array(Line), v.maxLength(8, 'are too many')),
  code: v.pipe(v.string(), v.trim(), v.maxLength(20, 'is too long')),
  small: v.pipe(v.array(Line), v.maxLength(12, 'are too many')),
  address: v.optional(
    v.pipe(v.string(), v.maxLength(200, 'is too long'), v.regex(/^[Hh][Tt]{2}[Pp][Ss]?:\/\//, 'must be an address')),
  ),
});

/** The body of `POST /api/labels` and of `POST /api/labels/layout`. */
export const LabelsRequest = v.pipe(
  v.object({
    sheet: LabelSheetSchema,
    /** The first place on the first sheet that is not used up. */
    startAt: v.optional(Whole(1, 1_800), 1),
    /** How far everything is moved on the paper. */
    nudgeMm: v.optional(v.object({ x: Millimetres(-10, 10), y: Millimetres(-10, 10) }), { x: 0, y: 0 }),
    labels: v.pipe(
      v.array(v.object({ label: JarLabelSchema, count: Whole(1, MOST_LABELS) })),
      v.minLength(1, 'must name a label'),
      v.maxLength(MOST_LABELS, 'are too many'),
    ),
  }),
  v.forward(
    v.check(
      ({ labels }) => labels.reduce((sum, { count }) => sum + count, 0) <= MOST_LABELS,
      `are more than ${MOST_LABELS.toLocaleString('en-US')}`,
    ),
    ['labels'],
  ),
);
export type LabelsRequest = v.InferOutput<typeof LabelsRequest>;

/** The reply of `POST /api/labels/layout`: every label as it will be printed, in millimetres from its own corner. */
export const LabelsLayout = v.object({
  labels: v.array(
    v.object({
      count: v.number(),
      laid: v.object({
        kind: v.literal('laid'),
        lines: v.array(
          v.object({
            words: v.string(),
            weight: v.picklist(['regular', 'bold']),
            sizeMm: v.number(),
            xMm: v.number(),
            yMm: v.number(),
            widthMm: v.number(),
          }),
        ),
        code: v.optional(v.object({ xMm: v.number(), yMm: v.number(), sideMm: v.number(), path: v.string() })),
      }),
    }),
  ),
  /** How many sheets of paper they take. */
  sheets: v.number(),
});
export type LabelsLayout = v.InferOutput<typeof LabelsLayout>;

/** The body of `POST /api/codes`: words that a camera is to read. */
export const CodeRequest = v.object({
  words: v.pipe(v.string(), v.minLength(1, 'must not be empty'), v.maxLength(400, 'are too long')),
});

/** Its reply: a code as the path of an SVG, its white edge included in the side. */
export const DrawnCode = v.object({ side: v.number(), path: v.string() });
export type DrawnCode = v.InferOutput<typeof DrawnCode>;
