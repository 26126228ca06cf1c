import { type Canner } from '../canner/canner';
import { KG_PER_LB } from '../measure/amount';
import { massKgOf } from './batch';
import { type HeatPrice } from './kitchenSetup';
import { type DayPlan } from './planDay';
import { BURNERS, type DayTask, endOfDay, HANDS } from './dayProblem';
import { type DayQuestion } from './questionOfDay';

/** What a plan comes to, beside another one. */
export interface PlanFigures {
  /** Minutes of the plan. */
  readonly endMin: number;
  /** Work of all hands together, without what is done besides. */
  readonly handsMin: number;
  /** Burners lit, each for itself; a canner that heats itself counts as one. */
  readonly burnerMin: number;
  /** What these burners give off. */
  readonly kWh: number;
  /** Of produce that is taken in hand before it spoils. */
  readonly savedKg: number;
}

/** A large burner at full heat, where none is written down. Common practice. */
const POT_WATTS = 1_800;
/** Part of that with which a lidded pot is kept boiling, and an open one simmering. Common practice. */
const KEPT_BOILING = 0.4;
/** Pounds of propane for a kilowatt-hour: 91,452 BTU a gallon (US Energy Information Administration) of 4.2 lb. */
const PROPANE_LB_PER_KWH = 3_412 / (91_452 / 4.2);

/** Pounds of bottled gas that give off so much. */
export function gasLb(kWh: number): number {
  return kWh * PROPANE_LB_PER_KWH;
}

/** What so much heat costs, in the money of its price. */
export function heatCost(kWh: number, { of, price }: HeatPrice): number {
  if (of === 'kWh') return kWh * price;
  return gasLb(kWh) * (of === 'lb' ? price : price * KG_PER_LB);
}

/** What a plan takes of hands and heat, and what it saves. Heating is at full burner, keeping a boil at a part of it. */
export function planFigures({ batches, canners }: DayQuestion, { tasks, unsaved }: DayPlan): PlanFigures {
  let [handsMin, burnerMin, kWh] = [0, 0, 0];
  for (const { task, startMin, endMin } of tasks) {
    const minutes = endMin - startMin;
    if (task.kind !== 'errand') handsMin += minutes * (task.needs[HANDS] ?? 0);
    const lit = litBy(task, canners);
    burnerMin += minutes * lit.burners;
    kWh += (minutes / 60) * (lit.watts / 1_000);
  }
  const savedKg = batches.filter(({ id }) => !unsaved.includes(id)).reduce((sum, batch) => sum + massKgOf(batch), 0);
  return { endMin: endOfDay(tasks), handsMin, burnerMin, kWh, savedKg };
}

/** Burners that a step has lit, and what they give. */
function litBy(task: DayTask, canners: readonly Canner[]): { burners: number; watts: number } {
  const canner = task.cannerId === undefined ? undefined : canners.find(({ id }) => id === task.cannerId);
  if (canner) {
    const isHeating = task.kind === 'preheat' || task.kind === 'heat-up' || task.kind === 'load';
    if (!isHeating && task.kind !== 'process') return { burners: 0, watts: 0 };
    return { burners: 1, watts: canner.burnerWatts * (isHeating ? 1 : KEPT_BOILING) };
  }
  const burners = task.needs[BURNERS] ?? 0;
  return { burners, watts: burners * POT_WATTS * KEPT_BOILING };
}
