import { splitLoads } from '@hoddle/core/canner/splitLoads';
import { firstWay, waysToProcess } from '@hoddle/core/canner/waysToProcess';
import { widestCanner } from '@hoddle/core/canner/widestCanner';
import { type Batch } from '@hoddle/core/day/batch';
import { batchOf, nextQuarter } from '@hoddle/core/day/batchOf';
import { coldBatchOf } from '@hoddle/core/day/coldBatchOf';
import { usuallyWithout } from '@hoddle/core/day/daySequence';
import { takeForCards } from '@hoddle/core/day/takeForCards';
import { cardsOf } from '@hoddle/core/handbook/cards';
import { type Card } from '@hoddle/core/handbook/cards/card';
import { type JarSize, quartsPerJar } from '@hoddle/core/handbook/jars';
import { type ProductRow } from '@hoddle/core/handbook/products';
import { usualCold } from '@hoddle/core/process/coldPlace';
import { type OwnRecipe } from '@hoddle/core/process/ownRecipe';
import { type Cold, isCold, type Way } from '@hoddle/core/process/method';
import { quartsPerBatch } from '@hoddle/core/recipe/cardColumns';
import { useState } from 'react';
import { v7 as uuidV7 } from 'uuid';
import { useLots } from '@/household/harvest/useOnHand';
import { usePages } from '@/household/process/usePages';
import { useBatchAmounts } from '@/household/recipe/useBatchAmounts';
import { useLearned } from '@/household/yields/useLearned';
import { householdNow, useHousehold } from '@/store/useHousehold';
import { batchWords } from './batchWords';

const COLD_WAYS: readonly Cold[] = ['refrigerator', 'freezer'];

/** Draft of a batch of the household's own recipe: where to, how many jars, of which filling, when. */
export function useMakeOwn(recipe: OwnRecipe, product: ProductRow) {
  const { household, batchRecords } = useHousehold();
  const learned = useLearned();
  const pages = usePages();
  const lots = useLots();
  const cards = cardsOf(product.product);
  const [card] = cards;
  const [jar, setJar] = useState<JarSize>(recipe.yields.jar);
  const ways = waysToProcess(household, product, jar, pages);
  const [asked, setWay] = useState<Way>();
  const tested = ways.tested.length > 0 ? firstWay(ways) : undefined;
  const way: Way = asked !== undefined && (isCold(asked) || asked === tested) ? asked : (tested ?? usualCold(recipe));
  const usual = usualJars(recipe, jar);
  const [counts, setCounts] = useState<Readonly<Record<string, number>>>({});
  const [startAt, setStartAt] = useState(() => nextQuarter(householdNow()));
  const [without, setWithout] = useState<readonly string[]>(() => (card ? usuallyWithout(card) : []));
  const countOf = (own: Card) => counts[own.card] ?? (recipe.fillings.length === 0 ? usual : (own.yields?.high ?? 1));
  const jars = cards.map((own) => ({ card: own, jar, jars: countOf(own) }));
  const all = jars.reduce((sum, each) => sum + each.jars, 0);
  const taken = takeForCards(
    jars.filter((each) => each.jars > 0),
    lots,
  );
  const { canner, capacity } = isCold(way) ? {} : widestCanner(household, jar, way);
  const perLoad = capacity?.kind === 'holds' ? capacity.jars : undefined;

  const batchWith = (newId: () => string): Batch | undefined => {
    if (!card || all === 0) return undefined;
    const common = { product, recipe: card.card, without, jar, uses: taken.uses, startAt };
    if (isCold(way)) {
      const filled = jars.map((each) => ({
        ...(recipe.fillings.length > 0 && { recipe: each.card.card }),
        count: each.jars,
      }));
      return coldBatchOf({ ...common, into: way, jars: filled }, household.altitudeFt ?? 0, newId);
    }
    if (!canner || perLoad === undefined) return undefined;
    return batchOf(
      { ...common, method: way, cannerId: canner.id, loads: splitLoads(all, perLoad, 'even') },
      household,
      pages,
      newId,
    );
  };
  // Ids of a look are not kept.
  let looked = 0;
  const draft = batchWith(() => `draft ${looked++}`);
  return {
    batchWords: batchWords(recipe, batchRecords, learned),
    jar,
    setJar,
    way,
    setWay,
    /** The tested way of this jar at this altitude, and the cold ones. */
    offered: [...(tested ? [tested] : []), ...COLD_WAYS] as readonly Way[],
    isServed: isCold(way) || ways.served.includes(way),
    jars,
    all,
    setCount: (id: string, count: number) => setCounts((before) => ({ ...before, [id]: count })),
    startAt,
    setStart: setStartAt,
    card,
    without,
    flipStep: (step: string) =>
      setWithout((before) => (before.includes(step) ? before.filter((other) => other !== step) : [...before, step])),
    missing: taken.missing,
    amounts: useBatchAmounts(draft),
    loads: draft?.loads ?? [],
    toBatch: () => batchWith(() => uuidV7()),
  };
}

/** One batch, as its page says, in jars of another size. */
function usualJars({ yields }: OwnRecipe, jar: JarSize): number {
  const quarts = quartsPerBatch({ yields } as Parameters<typeof quartsPerBatch>[0])?.mid ?? 1;
  return Math.max(1, Math.floor(quarts / quartsPerJar(jar) + 1e-6));
}
