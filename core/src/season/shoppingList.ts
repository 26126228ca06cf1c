import { type Measured, readFormula, type Role } from '../handbook/formula';
import { JARS } from '../handbook/jars';
import { type ProductRow, productRow } from '../handbook/products';
import { formulasOf } from '../handbook/recipes';
import { stepOf } from '../handbook/steps';
import { KG_PER_LB, ML_PER_CUP, ML_PER_TBSP } from '../measure/amount';
import { type HardwareCount } from '../pantry/hardwareStock';
import { acidDose } from '../process/acidDose';
import { type HardwareMove, hardwareKey, usualMouth } from '../supplies/hardware';
import { LIGHT_PERCENT, syrupOf } from '../supplies/syrupOf';
import { quartsPerJar } from '../yields/batchRecord';
import { formulaForCrop } from '../yields/formulaNeeds';
import { quartsPerBatch } from '../yields/printedYield';
import { type LearnedYields } from '../yields/yieldModel';
import { yieldRange } from '../yields/yieldRange';
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

/** Roles that are bought: produce is grown and water comes from the tap. */
const BOUGHT: readonly Role[] = ['vinegar', 'lemon', 'salt', 'sugar', 'thickener', 'oil', 'pectin', 'spice', 'firming'];

/** What is put under one name in a shop, whatever a page calls it. */
const NAMES: readonly [RegExp, string][] = [
  [/brown sugar/i, 'brown sugar'],
  [/sugar/i, 'sugar'],
  [/cider vinegar/i, 'cider vinegar, 5 %'],
  [/vinegar/i, 'white vinegar, 5 %'],
  [/lemon juice/i, 'bottled lemon juice'],
  [/lime juice/i, 'bottled lime juice'],
  [/salt/i, 'canning salt'],
  [/liquid pectin/i, 'liquid pectin'],
  [/pectin/i, 'powdered pectin'],
  [/starch/i, 'cook-type starch'],
];

/**
 * What to buy for a season's plan from a day on: jars and lids with spares, and what the formulas, syrups and acid doses take,
 * at the 9-in-10 case: as many jars as the produce fills in a kitchen's best year of ten, by the smallest printed batch.
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
      const row = productRow(batch.product);
      const jars = jarsAtMost(batch, learned);
      const mouth = usualMouth(batch.jar, moves);
      const lid = { kind: reusable ? 'reusable-lid' : 'lid', mouth } as const;
      const jar = { kind: 'jar', size: batch.jar, mouth } as const;
      const lidWords = `${mouth === 'wide' ? 'wide-mouth' : 'regular'} lids${reusable ? ', reusable' : ''}`;
      list.add(day, hardwareKey(jar), `${JARS[batch.jar].one} jars, ${mouth} mouth`, 'pieces', jars * (1 + SPARE_PART));
      list.add(day, hardwareKey(lid), lidWords, 'pieces', jars * (1 + SPARE_PART));
      for (const bought of [...ofFormula(row, batch, jars), ...ofSteps(row, batch, jars)]) {
        const [words, unit, amount] = byWeight(bought);
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

/** What a shop sells by weight and a page gives in cups, in kilograms a cup. Common practice. */
const KG_PER_CUP: Readonly<Record<string, number>> = { sugar: 0.2, 'brown sugar': 0.22, 'canning salt': 0.29 };

function byWeight([words, unit, amount]: Amount): Amount {
  const each = KG_PER_CUP[words];
  return each !== undefined && unit === 'ml' ? [words, 'kg', (amount / ML_PER_CUP) * each] : [words, unit, amount];
}

type Amount = readonly [words: string, unit: ShoppingItem['unit'], amount: number];

function ofFormula(row: ProductRow, { jar, crops }: ReportedBatch, jars: number): Amount[] {
  const [main] = crops;
  const own = main && formulaForCrop(row, main.crop);
  const formula = own?.formula ?? formulasOf(row.product)[0];
  if (!formula?.yields) return [];
  const quarts = own ? quartsPerBatch(own).low : formula.yields.low * (JARS.pint.nominalFlOz / JARS.quart.nominalFlOz);
  const pots = Math.ceil(((jars * quartsPerJar(jar)) / quarts) * 100) / 100;
  return readFormula(formula.mainInputs).ingredients.flatMap(({ role, food, amount, optional }): Amount[] => {
    if (!BOUGHT.includes(role) || optional) return [];
    const words = NAMES.find(([pattern]) => pattern.test(food))?.[1] ?? food.toLowerCase();
    return [[words, ...measured(role, amount, pots)]];
  });
}

function measured(role: Role, amount: Measured | undefined, pots: number): [ShoppingItem['unit'], number] {
  if (role === 'pectin') return ['boxes', Math.ceil(pots) * (amount?.of === 'pieces' ? amount.span.high : 1)];
  // A page that only says "spices" asks for a look into the drawer.
  if (!amount) return ['pieces', 1];
  return [amount.of, amount.span.high * pots];
}

function ofSteps(row: ProductRow, { jar, crops }: ReportedBatch, jars: number): Amount[] {
  const amounts: Amount[] = [];
  const dose = row.sequence.includes('acid') ? acidDose(row.productClass, jar) : undefined;
  if (dose) amounts.push(['bottled lemon juice', 'ml', dose.bottledLemonJuiceTbsp * ML_PER_TBSP * jars]);
  if (row.sequence.includes('syrup')) {
    amounts.push(['sugar', 'ml', syrupOf(LIGHT_PERCENT, jar, jars).sugarCups * ML_PER_CUP]);
  }
  const kg = crops.reduce((sum, { massKg }) => sum + massKg, 0);
  const soaks = row.sequence.some((entry) => stepOf(entry).row.resources.includes('ice'));
  const ice = soaks ? ICE_SOAK : row.sequence.includes('scald-peel') ? ICE_SCALD : 0;
  if (ice > 0) amounts.push(['ice', 'kg', kg * ice]);
  return amounts;
}

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
