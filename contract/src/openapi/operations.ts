import { findProcess } from '@hoddle/core/process/findProcess';
import * as v from 'valibot';
import { BatchSchema } from '../batch';
import { CheckRequest } from '../checkedRow';
import { Clock } from '../clock';
import { ConvertReply, ConvertRequest } from '../convert';
import { EstimateReply, EstimateRequest } from '../estimate';
import { Household } from '../household';
import { HouseholdSourceSchema } from '../householdSource';
import { HouseholdState } from '../householdState';
import { MovementSchema } from '../jarLot';
import { KitchenEventSchema } from '../kitchenEvent';
import { PickSchema } from '../pick';
import { BatchProcessReply, BatchProcessRequest, ProcessParameters, ProcessReply } from '../process';
import { ProductsQuery, ProductsReply } from '../products';
import { EXAMPLES } from './examples';
import { type AnySchema, type Operation } from './operation';

/** A write the client made the id for: 201 when it is new, 200 when it was there already. */
function keptOnce(path: string, summary: string, body: AnySchema, example: unknown, errors: number[]): Operation {
  return {
    method: 'post',
    path,
    summary,
    body,
    bodyExample: example,
    replies: { 200: body, 201: body },
    replyExample: example,
    errors: [400, 409, ...errors],
  };
}

function struckOut(path: string, summary: string, errors: number[] = []): Operation {
  return { method: 'delete', path, summary, replies: { 204: null }, errors };
}

/** Every address of the API. */
export const OPERATIONS: readonly Operation[] = [
  {
    method: 'get',
    path: '/health',
    summary: 'Whether the server answers.',
    replies: { 200: v.strictObject({ ok: v.literal(true) }) },
    replyExample: { ok: true },
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
    method: 'post',
    path: '/convert',
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
    summary: 'How many full jars an amount of one crop becomes.',
    body: EstimateRequest,
    bodyExample: EXAMPLES.estimate,
    replies: { 200: EstimateReply },
    replyExample: { jars: { p10: 19, p50: 23, p90: 26 }, massKg: 30.84, basis: 'handbook' },
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
  keptOnce('/sources', "A tested time from the household's own source.", HouseholdSourceSchema, EXAMPLES.source, [422]),
  struckOut('/sources/{id}', "Strikes out a source of the household's own."),
  {
    method: 'get',
    path: '/state',
    summary: 'All of the household.',
    replies: { 200: HouseholdState },
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
  struckOut('/picks/{id}', 'Strikes out a pick that no batch has used.', [409]),
  keptOnce('/batches', 'A batch with its loads; never shorter than tested.', BatchSchema, EXAMPLES.batch, [422]),
  struckOut('/batches/{id}', 'Gives up a batch of which no load has begun.', [409]),
  keptOnce('/kitchen/events', 'What happened to a load.', KitchenEventSchema, EXAMPLES.event, [404, 422]),
  keptOnce('/movements', 'Jars taken, returned or discarded.', MovementSchema, EXAMPLES.movement, [404]),
];
