import { type ProduceId } from '../../handbook/produce';

/** Produce that a day takes out of one arrival. */
export interface SeasonTaking {
  readonly arrival: string;
  readonly massKg: number;
  /** It waits in the refrigerator until then, or comes out of the freezer where this plan put it. */
  readonly from: 'place' | 'refrigerator' | 'freezer';
}

/** One product on one day. */
export interface SeasonBatch {
  readonly recipe: string;
  readonly jars: number;
  readonly loads: number;
}

export interface SeasonDayPlan {
  readonly day: string;
  readonly batches: readonly SeasonBatch[];
  readonly takings: readonly SeasonTaking[];
}

/** What becomes of the rest of an arrival. */
export interface SeasonRest {
  readonly arrival: string;
  readonly crop: ProduceId;
  readonly frozenKg: number;
  /** Given away, sold, or lost: nothing in the plan takes it. */
  readonly leftKg: number;
}

/** What a season should make, day by day. */
export interface SeasonPlan {
  /** Only days on which something is made, in the order of time. */
  readonly days: readonly SeasonDayPlan[];
  readonly rests: readonly SeasonRest[];
  /** Points: {@link seasonWorth}. */
  readonly worth: number;
}

/** Jars of each recipe in the whole plan. */
export function jarsByRecipe({ days }: Pick<SeasonPlan, 'days'>): Map<string, number> {
  const jars = new Map<string, number>();
  for (const { batches } of days) {
    for (const batch of batches) jars.set(batch.recipe, (jars.get(batch.recipe) ?? 0) + batch.jars);
  }
  return jars;
}
