import { EVERYTHING_VERSION } from '@hoddle/core/formats/everything';
import { toJsonSchema } from '@valibot/to-json-schema';
import * as v from 'valibot';

const Named = v.object({ id: v.string(), name: v.string() });
const Moment = v.pipe(v.string(), v.isoTimestamp());
const Day = v.pipe(v.string(), v.isoDate());
const Kg = v.pipe(v.number(), v.minValue(0));
const Jars = v.array(v.object({ size: v.string(), count: v.number() }));

/**
 * Everything of a household for other programs: named in words, masses in kilograms, times in UTC (ISO 8601), recipes as schema.org
 * has them. A backup is the file to restore from; this one is the file to read.
 */
export const Everything = v.object({
  format: v.literal('hoddle-household'),
  version: v.literal(EVERYTHING_VERSION),
  madeAt: Moment,
  household: v.object({
    name: v.string(),
    altitudeFt: v.nullable(v.number()),
    units: v.picklist(['us', 'metric']),
    timeZone: v.nullable(v.string()),
    places: v.array(Named),
    canners: v.array(v.object({ id: v.string(), name: v.string(), method: v.string() })),
  }),
  picks: v.array(
    v.object({
      id: v.string(),
      crop: Named,
      kg: Kg,
      softKg: Kg,
      pickedAt: Moment,
      source: v.string(),
      place: v.string(),
      bed: v.nullable(v.string()),
    }),
  ),
  garden: v.array(
    v.object({
      id: v.string(),
      name: v.string(),
      crop: Named,
      count: v.number(),
      unit: v.string(),
      firstWeek: v.number(),
      peakWeek: v.number(),
      lastWeek: v.number(),
      usualKg: v.nullable(Kg),
    }),
  ),
  batches: v.array(
    v.object({
      id: v.string(),
      product: Named,
      name: v.string(),
      startAt: Moment,
      jars: Jars,
      pack: v.string(),
      method: v.string(),
      processMinutes: v.number(),
      pressurePsi: v.nullable(v.number()),
      altitudeFt: v.number(),
      produce: v.array(v.object({ crop: v.nullable(v.string()), kg: Kg })),
    }),
  ),
  /** What became of batches, as it was written down. */
  yields: v.array(
    v.object({
      id: v.string(),
      batch: v.nullable(v.string()),
      product: Named,
      crop: Named,
      kg: Kg,
      jars: Jars,
      madeAt: Moment,
      note: v.string(),
      faults: v.array(v.string()),
    }),
  ),
  jars: v.array(
    v.object({
      lot: v.string(),
      code: v.string(),
      product: Named,
      name: v.string(),
      size: v.string(),
      count: v.number(),
      madeOn: Day,
      keepsUntil: Day,
      place: v.string(),
      seal: v.string(),
    }),
  ),
  movements: v.array(
    v.object({
      id: v.string(),
      lot: v.string(),
      kind: v.string(),
      jars: v.number(),
      at: Moment,
      undone: v.boolean(),
      note: v.nullable(v.string()),
    }),
  ),
  supplies: v.array(v.object({ kind: v.string(), size: v.nullable(v.string()), mouth: v.string(), count: v.number() })),
  goals: v.array(v.object({ product: Named, size: v.string(), jars: v.nullable(v.number()), priority: v.string() })),
  season: v.array(
    v.object({ day: Day, batches: v.array(v.object({ product: Named, size: v.string(), jars: v.number() })) }),
  ),
  /** Each a schema.org/Recipe. */
  recipes: v.array(
    v.looseObject({ '@context': v.literal('https://schema.org'), '@type': v.literal('Recipe'), name: v.string() }),
  ),
});
export type Everything = v.InferOutput<typeof Everything>;

/** Its JSON Schema (draft 2020-12), as `docs/household.schema.json` has it. */
export function everythingSchema(): object {
  return {
    $id: 'hoddle-household.schema.json',
    title: 'Everything of a household',
    description:
      'What GET /api/everything answers: named in words, masses in kilograms, times in UTC (ISO 8601), recipes as schema.org has them.',
    ...toJsonSchema(Everything, { target: 'draft-2020-12', errorMode: 'ignore' }),
  };
}
