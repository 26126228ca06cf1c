import { splitLoads } from '@hoddle/core/canner/splitLoads';
import { firstWay, waysToProcess } from '@hoddle/core/canner/waysToProcess';
import { widestCanner } from '@hoddle/core/canner/widestCanner';
import { type Batch } from '@hoddle/core/day/batch';
import { batchOf, nextQuarter } from '@hoddle/core/day/batchOf';
import { coldBatchOfJars } from '@hoddle/core/day/coldBatchOf';
import { productRow } from '@hoddle/core/handbook/products';
import { type Lot } from '@hoddle/core/harvest/onHand';
import { takeForBatch } from '@hoddle/core/harvest/takeForBatch';
import { coldPlaceOf } from '@hoddle/core/process/coldPlace';
import { type ReportedBatch, type ReportedDay } from '@hoddle/core/season/seasonReport';
import { v7 as uuidV7 } from 'uuid';
import { useLots } from '@/features/harvest/useOnHand';
import { usePages } from '@/features/process/usePages';
import { useHouseholdStore } from '@/store/householdStore';
import { householdNow, useHousehold } from '@/store/useHousehold';

/** So much of what was planned must be on hand for a batch to be made. */
const ENOUGH_PART = 0.9;

/** Whether the produce of a planned batch is on hand, as if the others of its day were made first. */
export interface Readiness {
  readonly batch: ReportedBatch;
  readonly ready: boolean;
}

/** Makes a planned day the day in hand: its batches, from the lots that are there. */
export function useOpenDay(day: ReportedDay | undefined): { readonly batches: readonly Readiness[]; open(): void } {
  const { household } = useHousehold();
  const lots = useLots();
  const pages = usePages();
  const enter = useHouseholdStore((store) => store.enter);
  // What is on hand now and spoils before that day is not what it is made of.
  const here = new Pantry(lots.filter(({ until }) => until >= (day?.at ?? 0)));
  const taken = (day?.batches ?? []).map((batch) => ({ batch, uses: here.takeFor(batch) }));
  const open = () => {
    const startAt = Math.max(day?.at ?? 0, nextQuarter(householdNow()));
    for (const { batch, uses } of taken) {
      if (!uses) continue;
      const made = batchFor(batch, uses, startAt);
      if (made) enter({ kind: 'batch', batch: made });
    }
  };
  return { batches: taken.map(({ batch, uses }) => ({ batch, ready: uses !== undefined })), open };

  function batchFor({ product, jar, jars }: ReportedBatch, uses: Batch['uses'], startAt: number): Batch | undefined {
    const row = productRow(product);
    const into = coldPlaceOf(product, pages);
    if (into) {
      const wish = { product: row, jar, into, jars, uses, startAt };
      return coldBatchOfJars(wish, household.altitudeFt ?? 0, () => uuidV7());
    }
    const method = firstWay(waysToProcess(household, row, jar, pages));
    const { canner, capacity } = widestCanner(household, jar, method);
    if (!canner || capacity?.kind !== 'holds') return undefined;
    const loads = splitLoads(jars, capacity.jars, 'full');
    return batchOf({ product: row, jar, method, cannerId: canner.id, loads, uses, startAt }, household, pages, () =>
      uuidV7(),
    );
  }
}

/** Lots on hand while one batch after the other takes of them. */
class Pantry {
  private lots: Lot[];

  constructor(lots: readonly Lot[]) {
    this.lots = [...lots];
  }

  /** Undefined where too little is there, or where it begins with what another batch of the day leaves over. */
  takeFor({ crops, from, thawed }: ReportedBatch): Batch['uses'] | undefined {
    if (from) return undefined;
    const all = crops.map(({ crop, massKg }) => {
      const own = this.lots.filter((lot) => lot.crop === crop && (thawed || lot.place !== 'freezer'));
      const kg = own.reduce((sum, lot) => sum + lot.massKg, 0);
      return kg >= massKg * ENOUGH_PART ? takeForBatch(own, massKg) : undefined;
    });
    if (all.includes(undefined)) return undefined;
    const uses = all.flatMap((each) => each ?? []);
    this.lots = this.lots.map((lot) => {
      const use = uses.find(({ pickId }) => pickId === lot.pickId);
      if (!use) return lot;
      const takenKg = lot.ripeness === 'soft' ? use.softKg : use.massKg - use.softKg;
      return { ...lot, massKg: Math.max(0, lot.massKg - takenKg) };
    });
    return uses;
  }
}
