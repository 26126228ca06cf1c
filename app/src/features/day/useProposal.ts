import { splitLoads } from '@hoddle/core/canner/splitLoads';
import { type Proposal, proposeDay } from '@hoddle/core/day/proposeDay';
import { type JarSize } from '@hoddle/core/handbook/jars';
import { productRow, type ProductRow } from '@hoddle/core/handbook/products';
import { takeForRecipe } from '@hoddle/core/day/takeForRecipe';
import { type BatchRecord } from '@hoddle/core/yields/batchRecord';
import { useMemo } from 'react';
import { v7 as uuidV7 } from 'uuid';
import { widestCanner } from '@hoddle/core/canner/widestCanner';
import { useOnHand } from '@/household/harvest/useOnHand';
import { batchOf, nextQuarter } from '@hoddle/core/day/batchOf';
import { usePages } from '@/household/process/usePages';
import { firstWay, waysToProcess } from '@hoddle/core/canner/waysToProcess';
import { useLearned } from '@/household/yields/useLearned';
import { useHouseholdStore } from '@/store/householdStore';
import { householdNow, useHousehold } from '@/store/useHousehold';

/** What the produce on hand could become next, and the way to take all of it. */
export function useProposal(): { readonly proposals: readonly Proposal[]; readonly take: () => void } {
  const { household, batchRecords } = useHousehold();
  const crops = useOnHand();
  const learned = useLearned();
  const pages = usePages();
  const enter = useHouseholdStore((store) => store.enter);
  const vesselFor = useMemo(
    () => (product: ProductRow, jar: JarSize) => {
      const ways = waysToProcess(household, product, jar, pages);
      if (ways.served.length === 0) return undefined;
      const method = firstWay(ways);
      const { canner, capacity } = widestCanner(household, jar, method);
      return canner && capacity?.kind === 'holds' ? { canner, method, perLoad: capacity.jars } : undefined;
    },
    [household, pages],
  );
  const proposals = useMemo(() => {
    if (household.altitudeFt === null) return [];
    const perLoad = (product: ProductRow, jar: JarSize) => vesselFor(product, jar)?.perLoad;
    const ground = { records: batchRecords as readonly BatchRecord[], learned, now: householdNow(), perLoad };
    return proposeDay(
      crops.flatMap(({ lots }) => lots),
      ground,
    );
  }, [household, batchRecords, crops, learned, vesselFor]);
  const take = () => {
    const startAt = nextQuarter(householdNow());
    const all = crops.flatMap(({ lots }) => lots);
    for (const { crop, product, jar, jars } of proposals) {
      const row = productRow(product);
      const vessel = vesselFor(row, jar);
      const item = crops.find((each) => each.crop === crop);
      if (!vessel || !item) continue;
      const { canner, method, perLoad } = vessel;
      const { uses } = takeForRecipe({ product, crop, jar, jars, mainLots: item.lots, lots: all, learned });
      const loads = splitLoads(jars, perLoad, 'full');
      const wish = { product: row, jar, method, cannerId: canner.id, loads, uses, startAt };
      const batch = batchOf(wish, household, pages, () => uuidV7());
      if (batch) void enter({ kind: 'batch', batch });
    }
  };
  return { proposals, take };
}
