import { cardsOf } from '../../handbook/cards';
import { CROP_NAMES } from '../../handbook/crops';
import { JARS } from '../../handbook/jars';
import { stepOf } from '../../handbook/steps';
import { KG_PER_LB, ML_PER_CUP, ML_PER_TBSP } from '../../measure/amount';
import { type HardwareCount } from '../../pantry/hardwareStock';
import { recipeFor } from '../../recipe/recipeFor';
import { type Bought, boughtFor } from '../../supplies/boughtFor';
import { type HardwareMove, hardwareKey, usualMouth } from '../../supplies/hardware';
import { LIGHT_PERCENT, syrupOf } from '../../supplies/syrupOf';
import { cardForCrop } from '../../yields/cardForCrop';
import { otherNeeds } from '../../yields/otherCrops';
import { type LearnedYields } from '../../yields/yieldModel';
import { yieldRange } from '../../yields/yieldRange';
import { type ReportedBatch, type SeasonReport } from './seasonReport';

/** One thing to have at hand, summed up over the planned batches. */
export interface ShoppingItem {
  /** The same thing has the same key in the next plan too: a tick stays. */
  readonly key: string;
  readonly words: string;
  readonly unit: 'pieces' | 'ml' | 'kg' | 'boxes';
  /** For the planned batches at the 9-in-10 case. */
  readonly needed: number;
  /** In the drawer; undefined for what is not counted. */
  readonly here?: number;
  readonly toBuy: number;
  /** The first day that needs it, "2026-08-22". */
  readonly neededOn: string;
}

/** One lid in twenty or so does not seal or is bent. Common practice. */
const SPARE_PART = 0.1;
/** A pound of ice for each pound that soaks in it, half of that for slipping skins. Common practice. */
const ICE_SOAK = 1;
const ICE_SCALD = 0.5;

/**
 * What to buy for a season's plan from a day on: jars and lids with spares, and what the recipes, syrups and acid doses take,
 * at the 9-in-10 case: as many jars as the produce fills in a kitchen's best year of ten.
 */
export function shoppingList(
  { days }: SeasonReport,
  today: string,
  hardware: readonly HardwareCount[],
  moves: readonly HardwareMove[],
  learned?: LearnedYields,
): ShoppingItem[] {
  const list = new Listed();
  const reusable = hardware.some(({ kind, count }) => kind === 'reusable-lid' && count > 0);
  for (const { day, batches } of days.filter((each) => each.day >= today)) {
    for (const batch of batches) {
      const jars = jarsAtMost(batch, learned);
      const mouth = usualMouth(batch.jar, moves);
      const lid = { kind: reusable ? 'reusable-lid' : 'lid', mouth } as const;
      const jar = { kind: 'jar', size: batch.jar, mouth } as const;
      const lidWords = `${mouth === 'wide' ? 'wide-mouth' : 'regular'} lids${reusable ? ', reusable' : ''}`;
      list.add(day, hardwareKey(jar), `${JARS[batch.jar].one} jars, ${mouth} mouth`, 'pieces', jars * (1 + SPARE_PART));
      list.add(day, hardwareKey(lid), lidWords, 'pieces', jars * (1 + SPARE_PART));
      for (const { words, unit, amount } of [...ofRecipe(batch, jars), ...ofSteps(batch, jars)]) {
        list.add(day, words, words, unit, amount);
      }
    }
  }
  return list.items(new Map(hardware.map((thing) => [hardwareKey(thing), thing.count])));
}

class Listed {
  private readonly known = new Map<string, Omit<ShoppingItem, 'toBuy' | 'here'>>();

  add(day: string, key: string, words: string, unit: ShoppingItem['unit'], amount: number): void {
    if (amount <= 0) return;
    const before = this.known.get(`${key} ${unit}`);
    this.known.set(`${key} ${unit}`, {
      key: `${key} ${unit}`,
      words,
      unit,
      needed: (before?.needed ?? 0) + amount,
      neededOn: before?.neededOn ?? day,
    });
  }

  items(here: ReadonlyMap<string, number>): ShoppingItem[] {
    return [...this.known.values()].map((item): ShoppingItem => {
      const needed = item.unit === 'pieces' || item.unit === 'boxes' ? Math.ceil(item.needed - 1e-9) : item.needed;
      const count = here.get(item.key.replace(/ pieces$/, ''));
      return {
        ...item,
        needed,
        ...(count !== undefined && { here: count }),
        toBuy: Math.max(0, needed - Math.max(0, count ?? 0)),
      };
    });
  }
}

/** Full jars that the produce of a batch may fill at most, nine times in ten. */
function jarsAtMost({ product, crops, jars }: ReportedBatch, learned?: LearnedYields): number {
  const [main] = crops;
  const range = main && yieldRange(product, main.crop, learned);
  return range ? Math.ceil((jars * range.lbPerQuart.p50) / range.lbPerQuart.p10 - 1e-9) : jars;
}

/** What the recipe takes, for as many jars as its produce may fill; what of it is neither grown nor on hand among it. */
function ofRecipe({ product, jar, crops }: ReportedBatch, jars: number): Bought[] {
  const [main] = crops;
  const own = main && cardForCrop(product, main.crop);
  const card = own?.card ?? cardsOf(product)[0];
  if (!card || jars <= 0) return [];
  const bought = boughtFor(recipeFor(card, { jars: [{ jar, count: jars }] }));
  if (!own || !main) return bought;
  const planned = new Set<string>(crops.map(({ crop }) => crop));
  const needs = otherNeeds(own, main.massKg / own.main.kgPerBatch, () => 0);
  return [
    ...bought,
    ...needs.flatMap(({ crop, kg, free }): Bought[] =>
      free || planned.has(crop) || kg === undefined
        ? []
        : [{ words: CROP_NAMES[crop].toLowerCase(), unit: 'kg', amount: kg }],
    ),
  ];
}

/** What only the steps ask for. */
function ofSteps({ product, jar, crops }: ReportedBatch, jars: number): Bought[] {
  const steps = cardsOf(product)[0]?.steps ?? [];
  const kg = crops.reduce((sum, { massKg }) => sum + massKg, 0);
  const soaks = steps.some(({ step }) => stepOf(step).row.resources.includes('ice'));
  const ice = soaks ? ICE_SOAK : steps.some(({ step }) => step === 'scald-peel') ? ICE_SCALD : 0;
  const list: Bought[] = ice > 0 ? [{ words: 'ice', unit: 'kg', amount: kg * ice }] : [];
  if (!steps.some(({ step }) => step === 'syrup')) return list;
  const sugar = syrupOf(LIGHT_PERCENT, jar, jars).sugarCups;
  return [...list, { words: 'sugar', unit: 'kg', amount: sugar * KG_PER_CUP_OF_SUGAR }];
}

/** Common practice. */
const KG_PER_CUP_OF_SUGAR = 0.2;

/** How much of an item a household buys: whole pieces, cups or pounds, or litres and kilograms. */
export function amountToBuy({ toBuy, unit }: Pick<ShoppingItem, 'toBuy' | 'unit'>, units: 'us' | 'metric'): string {
  const upTo = (value: number, step: number) => Math.ceil(value / step - 1e-9) * step;
  if (unit === 'pieces') return String(toBuy);
  if (unit === 'boxes') return `${toBuy} ${toBuy === 1 ? 'box' : 'boxes'}`;
  if (unit === 'kg') {
    return units === 'metric' ? `${upTo(toBuy, 0.1).toFixed(1)} kg` : `${upTo(toBuy / KG_PER_LB, 0.5)} lb`;
  }
  if (units === 'metric') return toBuy < 1_000 ? `${upTo(toBuy, 5)} ml` : `${upTo(toBuy / 1_000, 0.1).toFixed(1)} l`;
  const cups = toBuy / ML_PER_CUP;
  return cups < 0.5 ? `${upTo(toBuy / ML_PER_TBSP, 0.5)} tbsp` : `${upTo(cups, 0.5)} cups`;
}
