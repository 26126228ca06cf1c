import { CROP_NAMES, isCrop } from '../handbook/crops';
import { JARS, type JarSize } from '../handbook/jars';
import { type Step } from '../handbook/steps';
import { KG_PER_LB } from '../measure/amount';
import { printFraction } from '../measure/fraction';
import { mainLine } from '../recipe/cardCrops';
import { cardForCrop } from '../yields/cardForCrop';
import { type Batch, cardOf, mainCropOf, massKgOf } from './batch';
import { type DayStep, stepsOfBatch } from './daySequence';
import { BURNERS, toolResource, WATCH } from './dayProblem';
import { type KitchenSetup } from './kitchenSetup';

/** Cut, cooked or soaked food stands so long at room temperature and no longer. Common practice, see holding "2 h cut". */
export const CUT_HOLD_MIN = 120;

/** What is kept hot without a time of its own. Common practice. */
const HOT_HOLD_MIN = 30;

/** Between doses, filling and lids: hot jars stay hot. Handbook steps. */
export const JARS_HOLD_MIN = 10;

/** What every kitchen has so many of. */
const COUNTED = ['hands', 'burner', 'refrigerator', 'big pot', 'oven', 'mill', 'strainer', 'ice', 'canner'];

/** Tools that a step in own words names, besides what every kitchen counts. */
export function toolsOf({ row }: Pick<Step, 'row'>): string[] {
  return row.resources.filter((resource) => resource !== '' && !COUNTED.includes(resource));
}

/** A step of a batch among its others. */
export interface NumberedStep extends DayStep {
  /** The same in each plan of the batch: its name, what else than the main crop it works on, and which of several it is. */
  readonly id: string;
}

/** The steps of a batch, each with a name of its own. */
export function numbered(batch: Batch): NumberedStep[] {
  const main = cardOf(batch);
  const leads = (main && mainLine(main)?.crops) ?? [];
  const used = batch.uses.flatMap(({ crop }) => crop ?? []);
  const seen = new Map<string, number>();
  return stepsOfBatch(batch)
    .filter(({ of, optional }) => !optional || !of || used.length === 0 || of.some((crop) => isOneOf(used, crop)))
    .map((step) => {
      const other = step.of?.find((crop) => !isOneOf(leads, crop));
      const name = other === undefined ? step.entry : `${step.entry}:${other}`;
      const count = (seen.get(name) ?? 0) + 1;
      seen.set(name, count);
      return { ...step, id: count === 1 ? name : `${name}#${count}` };
    });
}

function isOneOf(crops: readonly string[], crop: string): boolean {
  return crops.includes(crop);
}

/** What a step holds while it goes on, beside hands: burners, pots, pounds of room in the cold, tools. */
export function needsOf({ row }: Step, pounds: number, { tools }: KitchenSetup): Record<string, number> {
  const needs: Record<string, number> = {};
  for (const resource of row.resources) {
    if (resource === 'burner') Object.assign(needs, { [BURNERS]: 1, [WATCH]: 1 });
    else if (resource === 'refrigerator') needs.refrigerator = Math.max(1, Math.ceil(pounds));
    else if (['big pot', 'oven', 'mill', 'strainer'].includes(resource)) needs[resource] = 1;
  }
  // In ice it needs no refrigerator.
  if (row.resources.includes('ice')) delete needs.refrigerator;
  for (const { name, step } of tools) if (step === row.step) needs[toolResource(name)] = 1;
  for (const name of toolsOf({ row })) needs[toolResource(name)] = 1;
  return needs;
}

/** The longest pause that may follow a step. */
export function holdAfter({ row }: Step, kind: 'prepare' | 'fill'): { maxLag?: number } {
  if (row.longestPauseAfter !== undefined) return { maxLag: row.longestPauseAfter };
  if (kind === 'fill') return { maxLag: JARS_HOLD_MIN };
  if (row.holding.startsWith('2 h cut')) return { maxLag: CUT_HOLD_MIN };
  if (row.holding === 'hot') return { maxLag: HOT_HOLD_MIN };
  return {};
}

/** Small jars are filled faster, large ones slower. */
export function jarPace(jar: JarSize): 'halfPint' | 'pint' | 'quart' {
  const { nominalFlOz } = JARS[jar];
  if (nominalFlOz <= JARS['half-pint'].nominalFlOz) return 'halfPint';
  return nominalFlOz <= JARS.pint.nominalFlOz ? 'pint' : 'quart';
}

/** Pounds that a step has in hand: of its crops, or of all; what is not reserved yet as much as the card wants of it. */
export function poundsFor(batch: Batch, of: readonly string[] | undefined): number {
  const all = massKgOf(batch) / KG_PER_LB;
  if (!of) return all;
  const main = mainCropOf(batch);
  const isMeant = (crop: string) => of.includes(crop) || (of.includes(ANY_VEGETABLES) && crop !== main);
  const told = batch.uses.filter(({ crop }) => crop !== undefined);
  if (told.length === 0) return all;
  const kg = told.reduce((sum, { crop = '', massKg }) => sum + (isMeant(crop) ? massKg : 0), 0);
  if (kg > 0) return kg / KG_PER_LB;
  const card = main && cardForCrop(batch.product, main);
  if (!card) return 0;
  const batches = massKgOf(batch, main) / card.main.kgPerBatch;
  const wanted = card.others.filter(({ crop, line }) => isMeant(crop) && !line.optional);
  return (wanted.reduce((sum, { kgPerBatch = 0 }) => sum + kgPerBatch, 0) * batches) / KG_PER_LB;
}

/** A card's word for all its vegetables but the main one. */
const ANY_VEGETABLES = 'vegetables';

/** "2 1/4 lb", under five pounds a quarter counts, under ten a half; "5.4 kg", "450 g". */
export function inHandWords(pounds: number, units: KitchenSetup['units'] = 'us'): string {
  const kg = pounds * KG_PER_LB;
  if (units === 'metric') return kg < 1 ? `${Math.max(50, Math.round(kg * 20) * 50)} g` : `${round(kg)} kg`;
  return `${pounds < 10 ? printFraction(Math.max(1 / 4, pounds), pounds < 5 ? 4 : 2) : Math.round(pounds)} lb`;
}

/** To the tenth below ten. */
function round(kg: number): number {
  return kg < 10 ? Math.round(kg * 10) / 10 : Math.round(kg);
}

/** " onions", where a step works on another crop than the main one. */
export function nameOfOther(batch: Batch, of: readonly string[] | undefined): string {
  const main = cardOf(batch);
  const leads = (main && mainLine(main)?.crops) ?? [];
  const other = of?.find((crop) => !isOneOf(leads, crop));
  return other !== undefined && isCrop(other) ? ` ${CROP_NAMES[other].toLowerCase()}` : '';
}
