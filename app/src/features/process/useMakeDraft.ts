import { type LoadStyle, partLoads } from '@hoddle/core/canner/splitLoads';
import { type Batch, frozenPart } from '@hoddle/core/day/batch';
import { wholeLoads } from '@hoddle/core/day/proposeDay';
import { type JarSize, quartsPerJar } from '@hoddle/core/handbook/jars';
import { type ProductRow } from '@hoddle/core/handbook/products';
import { cardsOf } from '@hoddle/core/handbook/cards';
import { THAW_COLD, THAW_COUNTER, usuallyWithout } from '@hoddle/core/day/daySequence';
import { takeForRecipe } from '@hoddle/core/day/takeForRecipe';
import { cardForCrop } from '@hoddle/core/yields/cardForCrop';
import { useBatchAmounts } from '@/household/recipe/useBatchAmounts';
import { useLots } from '@/household/harvest/useOnHand';
import { type Method } from '@hoddle/core/process/method';
import { estimateJars, massForJarsKg } from '@hoddle/core/yields/estimateJars';
import { useState } from 'react';
import { useLearned } from '@/household/yields/useLearned';
import { v7 as uuidV7 } from 'uuid';
import { useDayEnds } from '@/household/day/useDayEnds';
import { type CropOnHand } from '@/household/harvest/useOnHand';
import { householdNow, useHousehold } from '@/store/useHousehold';
import { widestCanner } from '@hoddle/core/canner/widestCanner';
import { batchOf, nextQuarter } from '@hoddle/core/day/batchOf';
import { placesFor } from '@hoddle/core/day/inTheCanner';
import { usePages } from '@/household/process/usePages';
import { useMoreJars } from './useMoreJars';
import { usePotOutput } from './usePotOutput';
import { packOffers } from '@hoddle/core/canner/packOffers';
import { firstWay, waysToProcess } from '@hoddle/core/canner/waysToProcess';
import { type Pack } from '@hoddle/core/handbook/boilingWater';
import { usualPack } from '@hoddle/core/handbook/usualPack';
import { inPack } from '@hoddle/core/recipe/packs';

/** The sizes that a second one may be of. */
const LARGE: readonly JarSize[] = ['quart', 'pint', 'half-pint'];
const SMALL: readonly JarSize[] = ['half-pint', 'pint', 'quart'];

const LOAD_STYLES: readonly LoadStyle[] = ['full', 'even', 'beside'];

/** Draft of a batch: jar, how many, how split, when. What follows from it is worked out at each look. */
export function useMakeDraft(item: CropOnHand, product: ProductRow, firstJar: JarSize) {
  const { household } = useHousehold();
  const pages = usePages();
  const learned = useLearned();
  const all = useLots();
  const [jar, setJar] = useState(firstJar);
  const [style, setStyle] = useState<LoadStyle>('full');
  const [sharedId, setSharedId] = useState<string>();
  const [asked, setAsked] = useState<number>();
  const [startAt, setStartAt] = useState(() => nextQuarter(householdNow()));
  const [way, setMethod] = useState<Method>();
  const [askedPack, setPack] = useState<Pack>();
  const page = cardForCrop(product.product, item.crop)?.card ?? cardsOf(product.product)[0];
  const packs = packOffers({ product, card: page, jar, method: way }, household, pages);
  const offer = packs.find((each) => each.pack === askedPack) ?? packs[0];
  const pack = offer?.pack ?? usualPack(product);
  const ways = offer?.ways ?? waysToProcess(household, product, jar, pages);
  // A jar that is not tested the chosen way goes back to the first one that is.
  const method = way !== undefined && ways.tested.includes(way) ? way : firstWay(ways);
  const { canner, capacity } = widestCanner(household, jar, method);
  const estimate = estimateJars(item.crop, item.massKg, product.product, jar, learned);
  const range = estimate.kind === 'estimate' ? estimate.jars : { p10: 0, p50: 0, p90: 0 };
  const perLoad = capacity?.kind === 'holds' ? capacity.jars : undefined;
  const jars = asked ?? Math.min(wholeLoads(range.p50, perLoad ?? Infinity), range.p90);
  const small = product.hasFormula || firstJar === 'half-pint';
  const besides = useMoreJars({ product, pack, jar, method, canner, sizes: small ? SMALL : LARGE });
  // What fills the other size is as much as so many of these.
  const inAll = jars + besides.quarts / quartsPerJar(jar);
  const need =
    jars > 0 ? massForJarsKg(item.crop, product.product, jar, inAll, { learned }) : { likelyKg: 0, sureKg: 0 };
  const taken =
    jars > 0
      ? takeForRecipe({
          ...{ product: product.product, crop: item.crop, jar, jars: inAll },
          ...{ mainLots: item.lots, lots: all, learned },
        })
      : { uses: [], mainKg: 0, missing: [] };
  const card = page && inPack(page, pack);
  const [without, setWithout] = useState<readonly string[]>(() => (card ? usuallyWithout(card) : []));
  const flipStep = (step: string) =>
    setWithout((before) => (before.includes(step) ? before.filter((other) => other !== step) : [...before, step]));

  const likelyKg = Math.min(need.likelyKg, item.massKg);
  const output = usePotOutput({ product: product.product, crop: item.crop, likelyKg, cannerId: canner?.id });

  const batchWith = (
    counts: readonly number[],
    withLoadId: string | undefined,
    newId: (of: string) => string,
  ): Batch | undefined =>
    canner &&
    batchOf(
      {
        product,
        ...(card && { recipe: card.card, without }),
        pack,
        jar,
        method,
        cannerId: canner.id,
        loads: counts,
        more: besides.more(counts.at(-1) ?? 0),
        withLoadId,
        uses: taken.uses,
        ...(output?.isWanted && { gives: [output.rule.kind] }),
        startAt,
      },
      household,
      pages,
      newId,
    );

  const one = batchWith([1], undefined, (of) => of);
  const besideIt = one ? placesFor(one, household.canners, household.ownJars) : [];
  const splits = new Map(
    LOAD_STYLES.map((each) => {
      const places = each === 'beside' ? besideIt : perLoad === undefined ? [] : [perLoad];
      return [each, places.length > 0 && jars > 0 ? partLoads(jars, places, each) : []] as const;
    }),
  );
  /** Ways of parting the loads that differ from those before. */
  const styles = LOAD_STYLES.filter((each, i) =>
    LOAD_STYLES.slice(0, i).every((other) => String(splits.get(other)) !== String(splits.get(each))),
  );
  const parted = styles.length > 1 ? styles : [];
  // A way that parts these jars as another one does is shown as that one.
  const shownStyle = styles.find((each) => String(splits.get(each)) === String(splits.get(style))) ?? 'full';
  const loads = splits.get(shownStyle) ?? [];

  /** Other jars, another way or another time: whether the last of them still fit beside others is asked anew. */
  const changed =
    <Value>(change: (value: Value) => void) =>
    (value: Value) => {
      setSharedId(undefined);
      change(value);
    };
  // Their ids are not kept.
  const drafts = parted.flatMap(
    (each) =>
      // Only what is left over from full loads goes in with others.
      batchWith(splits.get(each) ?? [], each === 'full' ? sharedId : undefined, (of) => of) ?? [],
  );
  const ends = useDayEnds(drafts);

  return {
    jar,
    pack,
    packs,
    setPack: changed(setPack),
    method,
    ways,
    style: shownStyle,
    startAt,
    canner,
    capacity,
    range,
    /** What its newest own batch gave. */
    lastTime: estimate.kind === 'estimate' ? estimate.grounds.last : undefined,
    jars,
    loads,
    need,
    /** Full jars of the chosen size that all of it would fill. */
    inAll,
    besides,
    /** So many of another size are likely left over from these. */
    likelyBesides: (size: JarSize) => Math.floor(((range.p50 - inAll) * quartsPerJar(jar)) / quartsPerJar(size) + 1e-6),
    /** Of the main crop, what so many jars likely take beyond what is there. */
    moreKg: Math.max(0, need.likelyKg - item.massKg),
    usedKg: taken.mainKg,
    missing: taken.missing,
    card,
    without,
    /** One of the steps that may be left out is, or is done after all. */
    flipStep,
    /** Overnight in the cold, or on the counter; undefined where nothing of it is frozen. */
    thaw: frozenPart(taken) > 0 ? (without.includes(THAW_COLD) ? THAW_COUNTER : THAW_COLD) : undefined,
    flipThaw: () => flipStep(THAW_COLD),
    /** The batch as it stands, to see what goes into it. */
    amounts: useBatchAmounts(batchWith(loads, undefined, (of) => of)),
    sharedId,
    setSharedId,
    setStyle: changed(setStyle),
    setMethod: changed((next: Method) => {
      setMethod(next);
      setAsked(undefined);
    }),
    setJar: changed((next: JarSize) => {
      setJar(next);
      setAsked(undefined);
    }),
    setJars: changed(setAsked),
    setStart: changed(setStartAt),
    /** When the day would be over, by the way the loads are parted; empty where there is one way only. */
    endsAt: new Map(parted.map((each, i) => [each, ends[i]])),
    output,
    /** What its jars are processed by and nothing else, where the cook chose that and there would be another way. */
    onlyWay: way === method && (one?.sameHeat?.length ?? 0) > 0 ? method : undefined,
    /** The batch, and with it what is made of its pot. */
    toBatches: (): Batch[] => {
      const batch = batchWith(loads, sharedId, () => uuidV7());
      if (!batch) return [];
      const second = output?.isWanted ? output.toBatch(batch, () => uuidV7()) : undefined;
      return second ? [batch, second] : [batch];
    },
  };
}
