import { findProcess } from '@hoddle/core/process/findProcess';
import * as v from 'valibot';
import { BatchSchema } from '../batch';
import { BatchRecordSchema } from '../batchRecord';
import { CheckRequest } from '../checkedRow';
import { Clock } from '../clock';
import { ConvertReply, ConvertRequest } from '../convert';
import {
  EstimateReply,
  EstimateRequest,
  JarsFromReply,
  JarsFromRequest,
  ProduceForReply,
  ProduceForRequest,
} from '../estimate';
import { FitReply, FitRequest } from '../fit';
import { GardenLookSchema, PlantingSchema } from '../garden';
import { Household } from '../household';
import { HouseholdSourceSchema } from '../householdSource';
import { HouseholdState } from '../householdState';
import { Health } from '../health';
import { StateChanges } from '../stateChange';
import { ExportQuery } from '../exportQuery';
import { HardwareMoveSchema } from '../hardware';
import { JarsInReply, JarsInSchema, MovementSchema } from '../jarLot';
import { RecallReply } from '../recall';
import { ShelfGoalSchema } from '../shelfGoal';
import { DayEventSchema } from '../dayEvent';
import { KitchenEventSchema } from '../kitchenEvent';
import { LotChangeSchema } from '../lotChange';
import { OwnRecipeSchema, ReadRecipeReply, ReadRecipeRequest } from '../ownRecipe';
import { OwnMeasureSchema } from '../ownMeasure';
import { PickSchema } from '../pick';
import { BatchProcessReply, BatchProcessRequest, ProcessParameters, ProcessReply } from '../process';
import { ProductsQuery, ProductsReply } from '../products';
import { RecipeForReply, RecipeForRequest, RecipeReply, RecipesQuery, RecipesReply } from '../recipe';
import { ScheduleReply, ScheduleRequest } from '../schedule';
import { DaysGivenSchema, KeptPlanSchema, SeasonPlanReply, SeasonPlanRequest, ShoppingTickSchema } from '../season';
import { EXAMPLES } from './examples';
import { kept, keptOnce, type Operation, struckOut } from './operation';
import { PAPER_OPERATIONS } from './paperOperations';
import { TRUST_OPERATIONS } from './trustOperations';

/** Every address of the API. */
export const OPERATIONS: readonly Operation[] = [
  {
    method: 'get',
    path: '/health',
    summary:
      'Whether everything is kept as it should be: the file, the disk, backups, writes that wait. 503 where not.',
    replies: { 200: Health, 503: Health },
    replyExample: EXAMPLES.health,
    errors: [],
  },
  {
    method: 'get',
    path: '/changes',
    summary: 'Server-sent events (text/event-stream): a line whenever something was written.',
    replies: { 200: null },
    errors: [],
  },
  {
    method: 'get',
    path: '/openapi.json',
    summary: 'This document.',
    replies: { 200: v.looseObject({ openapi: v.string() }) },
    errors: [],
  },
  {
    method: 'get',
    path: '/process',
    summary: 'The tested process for one kitchen, or why there is none and what instead.',
    query: ProcessParameters,
    queryExample: EXAMPLES.question,
    replies: { 200: ProcessReply },
    replyExample: findProcess(EXAMPLES.question),
    errors: [400],
  },
  {
    method: 'post',
    path: '/process',
    least: 'looker',
    summary: 'The same for a batch as it is to be made, held against its formula.',
    body: BatchProcessRequest,
    bodyExample: EXAMPLES.batchQuestion,
    replies: { 200: BatchProcessReply },
    replyExample: { answer: findProcess(EXAMPLES.batchQuestion), changes: [] },
    errors: [400],
  },
  {
    method: 'get',
    path: '/products',
    summary: 'Tested products by any of their names; food that is never for the shelf beside them.',
    query: ProductsQuery,
    queryExample: { q: 'beetroot' },
    replies: { 200: ProductsReply },
    errors: [400],
  },
  {
    method: 'get',
    path: '/recipes',
    summary: 'Recipe cards by any name of their product.',
    query: RecipesQuery,
    queryExample: { q: 'salsa' },
    replies: { 200: RecipesReply },
    errors: [400],
  },
  {
    method: 'get',
    path: '/recipes/{id}',
    namedId: true,
    summary: 'One recipe card as published; a slash in its id is encoded.',
    replies: { 200: RecipeReply },
    errors: [404],
  },
  {
    method: 'post',
    path: '/recipe-for',
    least: 'looker',
    summary: 'What goes into the pot for these jars, at which step, how much, what is poured off and what is missing.',
    body: RecipeForRequest,
    bodyExample: EXAMPLES.recipeFor,
    replies: { 200: RecipeForReply },
    errors: [400, 404, 422],
  },
  {
    method: 'post',
    path: '/convert',
    least: 'looker',
    summary: 'An amount in another measure, of a crop and how it is cut where that matters.',
    body: ConvertRequest,
    bodyExample: EXAMPLES.convert,
    replies: { 200: ConvertReply },
    replyExample: { kind: 'converted', value: 2.73 },
    errors: [400],
  },
  {
    method: 'post',
    path: '/estimate',
    least: 'looker',
    summary: 'How many full jars an amount of one crop becomes.',
    body: EstimateRequest,
    bodyExample: EXAMPLES.estimate,
    replies: { 200: EstimateReply },
    replyExample: { jars: { p10: 17, p50: 23, p90: 30 }, massKg: 30.84, basis: 'handbook' },
    errors: [400],
  },
  {
    method: 'post',
    path: '/fit',
    least: 'looker',
    summary: 'Whether jars stand beside each other in a pot, and where, in inches from its centre.',
    body: FitRequest,
    bodyExample: EXAMPLES.fit,
    replies: { 200: FitReply },
    replyExample: {
      fits: true,
      circles: [
        { x: 0, y: -3.75, r: 1.875, size: 'quart' },
        { x: 0, y: 3.75, r: 1.875, size: 'quart' },
      ],
      capacity: 5,
      limitedBy: 'floor',
    },
    errors: [400],
  },
  {
    method: 'post',
    path: '/schedule',
    least: 'looker',
    summary: 'Tasks laid out so that the last one ends as early as can be, and whether that is proven.',
    body: ScheduleRequest,
    bodyExample: EXAMPLES.schedule,
    replies: { 200: ScheduleReply },
    replyExample: {
      tasks: [
        { id: 'fill', start: 0, end: 14 },
        { id: 'process', start: 14, end: 69 },
      ],
      makespan: 69,
      lowerBound: 69,
      proven: true,
    },
    errors: [400, 413, 422],
  },
  {
    method: 'post',
    path: '/jars-from',
    least: 'looker',
    summary: 'Every product that some lots together can become, what is left over and what is missing.',
    body: JarsFromRequest,
    bodyExample: EXAMPLES.jarsFrom,
    replies: { 200: JarsFromReply },
    errors: [400],
  },
  {
    method: 'post',
    path: '/produce-for',
    least: 'looker',
    summary: 'How much to pick for so many jars, likely and to be sure.',
    body: ProduceForRequest,
    bodyExample: EXAMPLES.produceFor,
    replies: { 200: ProduceForReply },
    replyExample: { likelyKg: 33.2, sureKg: 39.1, sure: 0.8 },
    errors: [400],
  },
  {
    method: 'put',
    path: '/checked-rows',
    summary: 'Marks a row of the handbook as held against the page, or takes the mark back.',
    body: CheckRequest,
    bodyExample: EXAMPLES.check,
    replies: { 200: CheckRequest },
    replyExample: EXAMPLES.check,
    errors: [400, 404],
  },
  {
    method: 'post',
    path: '/recipes/read',
    least: 'looker',
    summary: 'Reads a recipe from text or schema.org JSON-LD into a draft; what is not understood stays in `unread`.',
    body: ReadRecipeRequest,
    bodyExample: EXAMPLES.readRecipe,
    replies: { 200: ReadRecipeReply },
    errors: [400],
  },
  {
    method: 'put',
    path: '/recipes/{id}',
    summary: "A page of a recipe of the household's own; put again it is the same, changed it is the next revision.",
    body: OwnRecipeSchema,
    bodyExample: EXAMPLES.ownRecipe,
    replies: { 200: OwnRecipeSchema, 201: OwnRecipeSchema },
    replyExample: EXAMPLES.ownRecipe,
    errors: [400, 409, 422],
  },
  struckOut('/recipes/{id}', "Strikes out a recipe of the household's own that nothing was made of.", [409], 'owner'),
  keptOnce('/sources', "A tested time from the household's own source.", HouseholdSourceSchema, EXAMPLES.source, [422]),
  struckOut('/sources/{id}', "Strikes out a source of the household's own."),
  {
    method: 'get',
    path: '/state',
    summary:
      'All of the household; with `since`, what has changed since an ETag, where that is known. 304 where nothing has.',
    query: v.object({ since: v.optional(v.pipe(v.string(), v.maxLength(80))) }),
    replies: { 200: v.union([StateChanges, HouseholdState]), 304: null },
    errors: [],
  },
  {
    method: 'put',
    path: '/household',
    summary: 'Name, altitude, units, burners and canners.',
    body: Household,
    bodyExample: EXAMPLES.household,
    replies: { 200: Household },
    replyExample: EXAMPLES.household,
    errors: [400],
  },
  {
    method: 'put',
    path: '/clock',
    summary: "Moves a demo household's clock forward.",
    body: Clock,
    bodyExample: EXAMPLES.clock,
    replies: { 200: v.strictObject({ now: v.number(), demoOffsetMs: v.number() }) },
    errors: [400, 409],
  },
  keptOnce('/picks', 'Produce that came in.', PickSchema, EXAMPLES.pick, []),
  kept('/picks/{id}', 'Corrects a pick; never below what was used of it.', PickSchema, EXAMPLES.pick, [404, 409]),
  struckOut('/picks/{id}', 'Strikes out a pick that nothing was used of.', [409]),
  keptOnce(
    '/lot-changes',
    'Part of a lot ended, was carried elsewhere or went soft.',
    LotChangeSchema,
    EXAMPLES.lotChange,
    [404],
  ),
  struckOut('/lot-changes/{id}', 'Takes a change of a lot back.', [409]),
  kept('/plantings/{id}', 'A bed, a row or trees of one crop.', PlantingSchema, EXAMPLES.planting, []),
  struckOut('/plantings/{id}', 'Strikes out a planting; its picks stay.'),
  keptOnce(
    '/garden-looks',
    'A planting was looked at: nothing ripe, or done for the year.',
    GardenLookSchema,
    EXAMPLES.look,
    [404],
  ),
  struckOut('/garden-looks/{id}', 'Takes a look back.'),
  kept(
    '/own-measures',
    "What one of the household's own measures of a crop weighs.",
    OwnMeasureSchema,
    EXAMPLES.ownMeasure,
    [],
  ),
  keptOnce(
    '/batch-records',
    'What became of a batch: produce in, jars out.',
    BatchRecordSchema,
    EXAMPLES.record,
    [404, 422],
  ),
  struckOut('/batch-records/{id}', 'Strikes out what was written of a batch.', [], 'owner'),
  keptOnce('/batches', 'A batch with its loads; never shorter than tested.', BatchSchema, EXAMPLES.batch, [422]),
  struckOut('/batches/{id}', 'Gives up a batch of which no load has begun.', [409]),
  keptOnce('/kitchen/events', 'What happened to a load.', KitchenEventSchema, EXAMPLES.event, [404, 422]),
  keptOnce(
    '/kitchen/day-events',
    'What happened on a preserving day besides its loads: steps, measures, changes.',
    DayEventSchema,
    EXAMPLES.dayEvent,
    [404, 422],
  ),
  keptOnce(
    '/movements',
    'Jars taken, given, carried elsewhere, opened, thrown away; or one of these undone.',
    MovementSchema,
    EXAMPLES.movement,
    [404, 422],
  ),
  {
    method: 'post',
    path: '/jars-in',
    summary: 'Jars that stand on a shelf already: all of them or none, each lot once.',
    body: JarsInSchema,
    bodyExample: EXAMPLES.jarsIn,
    replies: { 200: JarsInReply, 201: JarsInReply },
    replyExample: { added: 1, known: 0 },
    errors: [400, 409, 422],
  },
  kept('/goals', 'What the household wants of a product.', ShelfGoalSchema, EXAMPLES.goal, [422]),
  keptOnce(
    '/hardware-moves',
    'Empty jars, lids and bands into the drawer or out of it.',
    HardwareMoveSchema,
    EXAMPLES.hardwareMove,
    [],
  ),
  kept('/season-days', 'Which days the household gives to preserving.', DaysGivenSchema, EXAMPLES.seasonDays, []),
  kept('/season-plan', 'The plan the household goes by, and its pins.', KeptPlanSchema, EXAMPLES.keptPlan, []),
  kept('/shopping-ticks', 'In the basket, or not.', ShoppingTickSchema, EXAMPLES.shoppingTick, []),
  {
    method: 'post',
    path: '/season-plans',
    summary: 'Begins to plan what to make when; asked twice under one id it is one planning.',
    body: SeasonPlanRequest,
    bodyExample: EXAMPLES.seasonPlan,
    replies: { 202: SeasonPlanReply },
    replyExample: EXAMPLES.seasonPlanReply,
    errors: [400],
  },
  {
    method: 'get',
    path: '/season-plans/{id}',
    summary: 'How far a planning has come, and its plan once it is done.',
    replies: { 200: SeasonPlanReply },
    replyExample: EXAMPLES.seasonPlanReply,
    errors: [404],
  },
  struckOut('/season-plans/{id}', 'Ends a planning with the best plan so far.'),
  {
    method: 'get',
    path: '/recalls/{id}',
    summary: 'Every jar of the batch and loads that a lot belongs to, and where it went.',
    replies: { 200: RecallReply },
    errors: [404],
  },
  {
    method: 'get',
    path: '/export',
    summary: 'One table as CSV (text/csv) or XLSX; as XLSX also all of them, a sheet each.',
    query: ExportQuery,
    queryExample: { table: 'jars' },
    replies: { 200: null },
    errors: [400],
  },
  ...PAPER_OPERATIONS,
  ...TRUST_OPERATIONS,
];
