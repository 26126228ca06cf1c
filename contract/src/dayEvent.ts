import { DAY_MIN } from '@hoddle/core/day/kitchenSetup';
import * as v from 'valibot';
import { METHODS } from '@hoddle/core/process/method';
import { BatchSchema, PickUseSchema, PlannedLoadSchema, PotOutputSchema, RecipeId } from './batch';
import { Day, Id, Time } from './id';

const Name = v.pipe(v.string(), v.minLength(1, 'must not be empty'), v.maxLength(160, 'is too long'));
const TaskId = Name;
const Times = v.pipe(
  v.record(TaskId, Time),
  v.check((times) => Object.keys(times).length <= 2_000, 'are more steps than a day has'),
);
const Amount = v.pipe(
  v.number('must be a number'),
  v.minValue(0, 'must be 0 or more'),
  v.maxValue(1_000, 'is too much'),
);

/** Of what a pot gives, in millilitres. */
const Volume = v.pipe(
  v.number('must be a number'),
  v.minValue(0, 'must be 0 or more'),
  v.maxValue(200_000, 'is more than a kitchen boils'),
);

const Order = v.object({ startAt: Times, cannerOf: v.record(Id, Id), endAt: Time });
const Aim = v.object({
  jars: v.pipe(v.number(), v.integer(), v.minValue(0)),
  pounds: v.pipe(v.number(), v.minValue(0)),
  handsMin: v.pipe(v.number(), v.minValue(0)),
  endAt: Time,
});

const common = {
  id: Id,
  /** The date of the day's first batch. */
  day: Day,
  at: Time,
};
const Minutes = v.pipe(
  v.number('must be a number of minutes'),
  v.minValue(0.5, 'must be half a minute or more'),
  v.maxValue(3_000, 'must be at most 3,000'),
);

const MinuteOfDay = v.pipe(
  v.number('must be a minute of the day'),
  v.integer('must be whole'),
  v.minValue(0, 'must be 0 or more'),
  v.maxValue(DAY_MIN, `must be at most ${DAY_MIN}`),
);
/** A plan is laid out for a week. */
const Later = v.optional(
  v.pipe(v.number(), v.integer(), v.minValue(0, 'must be 0 or more'), v.maxValue(6, 'must be at most 6')),
);

const OfTwo = { loadId: Id, otherId: Id };
const WishSchema = v.variant('kind', [
  v.object({ kind: v.literal('pin'), loadId: Id, at: Time }),
  v.object({ kind: v.literal('canner'), loadId: Id, cannerId: Id }),
  v.object({
    kind: v.literal('way'),
    batchId: Id,
    method: v.picklist(METHODS, 'is no way of processing that was tested'),
  }),
  v.object({ kind: v.literal('before'), ...OfTwo }),
  v.object({ kind: v.literal('apart'), ...OfTwo }),
  v.object({ kind: v.literal('ready-by'), at: Time }),
  v.object({ kind: v.literal('not-before'), at: Time }),
]);

/** The body of `POST /api/kitchen/day-events`. */
export const DayEventSchema = v.variant('type', [
  v.object({ ...common, type: v.literal('day-started'), order: Order, aim: Aim }),
  v.object({
    ...common,
    type: v.literal('step-started'),
    taskId: TaskId,
    again: v.optional(v.literal(true)),
    cook: v.optional(Name),
  }),
  v.object({ ...common, type: v.literal('clock-started'), taskId: TaskId, minutes: Minutes }),
  v.object({ ...common, type: v.literal('step-done'), taskId: TaskId, sure: v.optional(v.literal(true)) }),
  v.object({ ...common, type: v.literal('done-before'), taskId: TaskId, endedAt: Time }),
  v.object({ ...common, type: v.literal('alarm-answered'), alarmId: Name }),
  v.object({
    ...common,
    type: v.literal('measured'),
    batchId: Id,
    taskId: TaskId,
    loadIds: v.optional(v.pipe(v.array(Id), v.minLength(1, 'must name a load'), v.maxLength(60))),
    amount: Amount,
    left: v.optional(v.pipe(v.array(PickUseSchema), v.maxLength(200))),
  }),
  v.object({
    ...common,
    type: v.literal('output-measured'),
    batchId: Id,
    taskId: TaskId,
    kind: PotOutputSchema,
    volumeMl: Volume,
  }),
  v.object({
    ...common,
    type: v.literal('loads-changed'),
    batchId: Id,
    loads: v.pipe(v.array(PlannedLoadSchema), v.maxLength(60, 'are more than one day takes')),
    produceUsed: v.pipe(v.number(), v.minValue(0, 'must be 0 or more'), v.maxValue(1, 'must be at most 1')),
  }),
  v.object({ ...common, type: v.literal('produce-added'), batchId: Id, loadId: v.optional(Id), use: PickUseSchema }),
  v.object({
    ...common,
    type: v.literal('recipe-changed'),
    batchId: Id,
    product: BatchSchema.entries.product,
    recipe: RecipeId,
    pack: BatchSchema.entries.pack,
    processMinutes: BatchSchema.entries.processMinutes,
    pressurePsi: BatchSchema.entries.pressurePsi,
  }),
  v.object({ ...common, type: v.literal('batch-moved'), batchId: Id, startAt: Time }),
  v.object({ ...common, type: v.literal('pots-joined'), batchId: Id, withId: Id }),
  v.object({ ...common, type: v.literal('order-taken'), order: Order }),
  v.object({ ...common, type: v.literal('order-kept'), endAt: Time }),
  v.object({ ...common, type: v.literal('cook-away'), cook: Name, until: v.optional(Time) }),
  v.object({ ...common, type: v.literal('cook-back'), cook: Name }),
  v.object({ ...common, type: v.picklist(['canner-out', 'canner-back']), cannerId: Id }),
  v.pipe(
    v.object({
      ...common,
      type: v.literal('errand-set'),
      errandId: Name,
      cook: Name,
      words: v.optional(Name),
      fromMin: MinuteOfDay,
      toMin: MinuteOfDay,
      minutes: v.optional(v.pipe(MinuteOfDay, v.minValue(1, 'must be 1 or more'))),
      atHome: v.boolean(),
      later: Later,
    }),
    v.forward(
      v.check(({ fromMin, toMin }) => fromMin < toMin, 'must end after it begins'),
      ['toMin'],
    ),
    v.forward(
      v.check(
        ({ fromMin, toMin, minutes = 0 }) => minutes <= toMin - fromMin,
        'is longer than the time there is for it',
      ),
      ['minutes'],
    ),
  ),
  v.object({ ...common, type: v.literal('errand-struck'), errandId: Name, later: Later }),
  v.object({ ...common, type: v.literal('wish-made'), wish: WishSchema }),
  v.object({ ...common, type: v.literal('wish-dropped'), key: Name }),
  v.object({ ...common, type: v.literal('day-closed') }),
  v.object({ ...common, type: v.literal('taken-back'), eventId: Id }),
]);
