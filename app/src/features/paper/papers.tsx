import { amountsOfBatch } from '@hoddle/core/day/amountsOfBatch';
import { type Batch, cardOf, jarCounts, nameOf } from '@hoddle/core/day/batch';
import { cardToJsonLd } from '@hoddle/core/formats/recipeToJsonLd';
import { type Paper } from '@hoddle/core/formats/paper/paper';
import { processOfBatch, processOfCard } from '@hoddle/core/formats/paper/cardProcess';
import { recipePaper } from '@hoddle/core/formats/paper/recipePaper';
import { runSheet } from '@hoddle/core/formats/paper/runSheet';
import { seasonPaper } from '@hoddle/core/formats/paper/seasonPaper';
import { shelfList } from '@hoddle/core/formats/paper/shelfList';
import { shoppingPaper } from '@hoddle/core/formats/paper/shoppingPaper';
import { yearBook } from '@hoddle/core/formats/paper/yearBook';
import { findCard } from '@hoddle/core/handbook/cards';
import { measuredNow } from '@hoddle/core/kitchen/measuredNow';
import { boughtLines, boughtWords } from '@hoddle/core/recipe/boughtLines';
import { recipeFor } from '@hoddle/core/recipe/recipeFor';
import { type SeasonReport } from '@hoddle/core/season/report/seasonReport';
import { shoppingList } from '@hoddle/core/season/report/shoppingList';
import { hasPlan } from '@hoddle/core/kitchen/dayInHand';
import { useDay } from '@/household/day/useDay';
import { usePantry } from '@/household/pantry/usePantry';
import { usePages } from '@/household/process/usePages';
import { sheetOf, sheetOfBatch } from '@/household/recipe/sheetOf';
import { useLearned } from '@/household/yields/useLearned';
import { inZone } from '@/store/householdZone';
import { useHousehold, useNow } from '@/store/useHousehold';
import { useUnits } from '@/store/useUnits';
import { isoDay } from '@/ui/clockWords';
import { Screen } from '@/ui/Screen';
import { type Station } from '@/ui/StationIcon';
import { Words } from '@/ui/Words';
import { PaperScreen } from './PaperScreen';
import { useDateStyle } from '@/household/paper/useDateStyle';

/** Nothing to print yet, and why. */
function Nothing({ station, backTo, words }: { station: Station; backTo: string; words: string }) {
  return (
    <Screen station={station} title="Nothing to print yet" backTo={backTo}>
      <Words>{words}</Words>
    </Screen>
  );
}

/** The day on one sheet for the wall. */
export function RunSheetScreen() {
  const day = useDay();
  const dates = useDateStyle();
  const units = useUnits();
  const pages = usePages();
  const amountsOf = useAmounts();
  const { household } = useHousehold();
  if (!day || !hasPlan(day))
    return <Nothing station="plan" backTo="/plan" words="The run sheet is there as soon as the day is laid out." />;
  const { startAt, tasks, batches, likelyAt, question } = day;
  const loads = day.loads.map(({ id, batch, minutes, jars }) => {
    const load = batch.loads.find((each) => each.id === id);
    return { load: { ...(load ?? { id, number: 1 }), jars }, batch, minutes };
  });
  const paper = runSheet(
    { startAt, tasks, batches, loads, life: question, canners: household.canners, likelyAt },
    { dates, units, pages, amountsOf },
  );
  return <PaperScreen station="plan" backTo="/plan" paper={paper} file={`run-sheet-${day.id}`} />;
}

/** What stands where, for the cellar door. */
export function ShelfListScreen() {
  const now = useNow(3_600_000);
  const dates = useDateStyle();
  const { household } = useHousehold();
  const { stocked, codeOf } = usePantry();
  const paper = shelfList(stocked, { places: household.places, dates, now, codeOf });
  return <PaperScreen station="shelf" backTo="/shelf" paper={paper} file={`shelf-${isoDay(now)}`} />;
}

/** What to buy, to tick with a pencil. */
export function ShoppingPaperScreen() {
  const dates = useDateStyle();
  const units = useUnits();
  const learned = useLearned();
  const amountsOf = useAmounts();
  const today = isoDay(useNow(60_000));
  const { season, hardware, hardwareMoves, batches, events } = useHousehold();
  const plan = season.plan as SeasonReport | null;
  const items = plan ? shoppingList(plan, today, hardware, hardwareMoves, learned) : [];
  const begun = new Set(events.map(({ loadId }) => loadId));
  const coming = batches.filter(
    ({ startAt, loads }) => isoDay(startAt) >= today && !loads.some(({ id }) => begun.has(id)),
  );
  const more = coming.map((batch) => ({
    name: nameOf(batch),
    lines: boughtLines(amountsOf(batch)?.lines ?? []).map((line) => {
      const { amount, item, beside } = boughtWords(line, units);
      return `${amount} ${item}${beside === '' ? '' : `; ${beside}`}`;
    }),
  }));
  const paper = shoppingPaper(items, season.ticked, more, { dates, units });
  return <PaperScreen station="plan" backTo="/plan/buy" paper={paper} file={`shopping-${today}`} />;
}

/** The season on a page. */
export function SeasonPaperScreen() {
  const dates = useDateStyle();
  const units = useUnits();
  const today = isoDay(useNow(60_000));
  const plan = useHousehold().season.plan as SeasonReport | null;
  if (!plan) return <Nothing station="plan" backTo="/plan/season" words="Plan the season first." />;
  const paper = seasonPaper(plan, today, { dates, units });
  return <PaperScreen station="plan" backTo="/plan/season" paper={paper} file={`season-${today.slice(0, 4)}`} />;
}

/** Every batch of a year, with how it went. @param year none for the newest that has any */
export function YearBookScreen({ year }: { year?: number }) {
  const dates = useDateStyle();
  const units = useUnits();
  const { batchRecords, batches } = useHousehold();
  const newest = Math.max(...batchRecords.map(({ madeAt }) => madeAt));
  if (!Number.isFinite(newest))
    return <Nothing station="plan" backTo="/plan/years" words="With the first batch that is written down it begins." />;
  const asked = year ?? inZone(newest).getFullYear();
  const paper = yearBook(asked, batchRecords, batches, { dates, units });
  return <PaperScreen station="plan" backTo="/plan/years" paper={paper} file={`year-book-${asked}`} />;
}

/** A recipe on a card: of a planned batch, for its jars; or of the handbook or the household's own, as its page makes it. */
export function RecipePaperScreen({ batch: batchId, card: cardId }: { batch?: string; card?: string }) {
  const { batches } = useHousehold();
  const batch = batches.find(({ id }) => id === batchId);
  const ofBatch = useRecipeOfBatch(batch);
  const ofCard = useRecipeOfCard(cardId);
  const backTo = batch ? '/plan/before' : '/bench/tested';
  const paper = ofBatch ?? ofCard;
  if (!paper) return <Nothing station="plan" backTo={backTo} words="There is no page of this recipe." />;
  return <PaperScreen station={batch ? 'plan' : 'bench'} backTo={backTo} paper={paper} file="recipe" />;
}

function useRecipeOfBatch(batch: Batch | undefined): Paper | undefined {
  const units = useUnits();
  const pages = usePages();
  const amounts = useAmounts()(batch);
  const card = batch && cardOf(batch);
  if (!batch || !amounts || !card) return undefined;
  const { lines, steps, pots } = sheetOfBatch(amounts);
  return recipePaper({
    ...{ card, jars: jarCounts(batch), amounts: { lines, steps, pots }, units, recipe: cardToJsonLd(card) },
    process: processOfBatch(batch, pages),
  });
}

function useRecipeOfCard(cardId: string | undefined): Paper | undefined {
  const units = useUnits();
  const pages = usePages();
  const { altitudeFt } = useHousehold().household;
  const card = cardId === undefined ? undefined : findCard(cardId);
  if (!card) return undefined;
  const jar = card.yields?.jar ?? 'pint';
  const jars = [{ jar, count: Math.max(1, Math.floor(card.yields?.low ?? 1)) }];
  const { lines, steps, pots } = sheetOf(recipeFor(card, { jars }));
  return recipePaper({
    ...{ card, jars, amounts: { lines, steps, pots }, units, recipe: cardToJsonLd(card) },
    process: processOfCard(card, jar, altitudeFt, pages),
  });
}

/** What batches take, for the produce they have or what was measured of them. */
function useAmounts() {
  const learned = useLearned();
  const { batchRecords: records, dayEvents } = useHousehold();
  return (batch: Batch | undefined) =>
    batch && amountsOfBatch(batch, { learned, records, measured: measuredNow(batch.id, dayEvents) });
}
