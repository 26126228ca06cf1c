import { type Batch } from '../../day/batch';
import { timedUses } from '../../day/timedUses';
import { type ProduceId } from '../../handbook/produce';
import { type LotChange } from '../../harvest/lotChange';
import { onHand } from '../../harvest/onHand';
import { type Pick } from '../../harvest/pick';
import { type GardenLook, type Planting } from '../../harvest/planting';
import { freezerBags } from '../../harvest/freezerSpace';
import { KG_PER_LB } from '../../measure/amount';
import { type HardwareCount } from '../../pantry/hardwareStock';
import { type StockedLot } from '../../pantry/shelf';
import { type ShelfGoal } from '../../pantry/shelfGoal';
import { type HouseholdPages } from '../../process/findProcess';
import { type HardwareMove, hardwareKey, usualMouth } from '../../supplies/hardware';
import { type LearnedYields } from '../../yields/yieldModel';
import { comingBatches, comingJars } from './comingJars';
import { expectedArrivals, type Outlook } from './expectedArrivals';
import { localDay } from '../../measure/localTime';
import { type DaysGiven, givenDays } from './givenDays';
import { withQuietDays } from './quietDays';
import { type LeftOut, recipesFor, type SeasonKitchen } from './recipesFor';
import {
  goalKey,
  type SeasonGoal,
  type SeasonPin,
  type SeasonProblem,
  type SeasonRecipe,
  type SeasonStock,
} from './seasonProblem';
import { cannersIf, cooksIf, outlookIf, stockIf, type WhatIf } from './whatIf';

/** All of a household that a season is planned from. */
export interface SeasonHousehold {
  readonly altitudeFt: number;
  /** With its own minutes, as the day goes by them. */
  readonly kitchen: Omit<SeasonKitchen, 'altitudeFt' | 'pages' | 'learned'>;
  readonly picks: readonly Pick[];
  readonly lotChanges: readonly LotChange[];
  readonly plantings: readonly Planting[];
  readonly looks: readonly GardenLook[];
  readonly batches: readonly Batch[];
  readonly stocked: readonly StockedLot[];
  /** Loads whose jars are on the shelf already. */
  readonly storedLoads: ReadonlySet<string>;
  readonly goals: readonly ShelfGoal[];
  readonly hardware: readonly HardwareCount[];
  readonly hardwareMoves: readonly HardwareMove[];
  readonly pages: HouseholdPages;
  readonly learned: LearnedYields;
  readonly daysGiven: DaysGiven;
  readonly pins: readonly SeasonPin[];
  readonly before: readonly { readonly day: string; readonly recipe: string }[];
}

export interface SeasonOptions {
  readonly weeks: number;
  readonly whatIf?: WhatIf;
  /** Plans with less than the middle harvest and with more pounds a jar, so that most years keep the plan. */
  readonly cautious?: boolean;
}

export interface HouseholdSeason {
  readonly problem: SeasonProblem;
  readonly kitchen: SeasonKitchen;
  readonly outlook: Outlook;
  readonly leftOut: readonly LeftOut[];
}

const DAY_MS = 24 * 60 * 60_000;
/** Seven years in ten bring more: half a spread below the middle. */
const CAUTIOUS_SPREADS = 0.52;
const CAUTIOUS_SURE = 0.8;

/** A household's own season as a problem in plain numbers, from now on. */
export function seasonOfHousehold(
  household: SeasonHousehold,
  now: number,
  { weeks, whatIf, cautious = false }: SeasonOptions,
): HouseholdSeason {
  const { daysGiven } = household;
  const { setup } = household.kitchen;
  const endAt = now + weeks * 7 * DAY_MS;
  const lots = onHand(household.picks, timedUses(household.batches), household.lotChanges);
  // What batches left behind is no picking: it says nothing of where baskets are put, or how soft they come.
  const picked = household.picks.filter(({ of }) => !of);
  const book = { plantings: household.plantings, picks: picked, looks: household.looks };
  const hoped = outlookIf(expectedArrivals(book, lots, now, endAt), whatIf);
  const outlook = cautious ? below(hoped) : hoped;
  const cooks = cooksIf(setup.cooks, whatIf);
  const kitchen: SeasonKitchen = {
    ...household.kitchen,
    altitudeFt: household.altitudeFt,
    canners: cannersIf(household.kitchen.canners, whatIf),
    setup: { ...setup, cooks },
    pages: household.pages,
    learned: household.learned,
  };
  const goals = goalsOf(household, now);
  const grown = new Set<ProduceId>(outlook.arrivals.map(({ crop }) => crop));
  const { recipes, leftOut, firstHeatMinutes } = recipesFor(goals, grown, kitchen, cautious ? CAUTIOUS_SURE : 0.5);
  const taken = new Set(comingBatches(household, now).map(({ startAt }) => localDay(startAt, setup.timeZone)));
  const given = givenDays(daysGiven, now, endAt, kitchen.setup).filter(({ id }) => !taken.has(id));
  const inFreezer = lots.filter(({ place }) => place === 'freezer');
  const problem: SeasonProblem = {
    days: withQuietDays(given, outlook.arrivals),
    arrivals: outlook.arrivals,
    recipes: recipes.map((recipe) => ({ ...recipe, stock: stockKeys(recipe, household) })),
    goals,
    stock: stockIf(stockOf(household), whatIf),
    burners: setup.burners,
    cannerBurners: Math.min(setup.burners, setup.cannerBurners),
    firstHeatMinutes,
    freezerBags: Math.max(
      0,
      daysGiven.freezerBags - inFreezer.reduce((sum, { crop, massKg }) => sum + freezerBags(crop, massKg), 0),
    ),
    refrigeratorKg: setup.refrigeratorLb * KG_PER_LB,
    mostDaysAWeek: daysGiven.mostAWeek,
    pins: household.pins,
    before: household.before,
    cuts: [],
  };
  return { problem, kitchen, outlook, leftOut };
}

/** Goals with what stands on the shelf and what is planned for it by hand. */
function goalsOf(household: SeasonHousehold, now: number): SeasonGoal[] {
  const coming = comingJars(household, now);
  return household.goals.flatMap(({ product, jar, jars, priority }): SeasonGoal[] => {
    if (jars === null || jars === 0) return [];
    const here = household.stocked
      .filter(
        (lot) =>
          lot.product === product &&
          lot.jar === jar &&
          (lot.seal === 'sealed' || lot.seal === 'cold') &&
          lot.placeKind !== 'aside',
      )
      .reduce((sum, lot) => sum + lot.jars, 0);
    const planned = coming.get(goalKey({ product, jar })) ?? 0;
    return [{ product, jar, priority, want: jars, have: here + planned }];
  });
}

function below({ arrivals, spreads }: Outlook): Outlook {
  const part = (id: string) => Math.exp(-CAUTIOUS_SPREADS * (spreads.get(id)?.size ?? 0));
  return { spreads, arrivals: arrivals.map((arrival) => ({ ...arrival, massKg: arrival.massKg * part(arrival.id) })) };
}

/** Jars and lids that the household counts. */
function stockOf({ hardware }: SeasonHousehold): SeasonStock[] {
  return hardware
    .filter(({ kind }) => kind !== 'band')
    .map((thing) => ({ key: hardwareKey(thing), have: thing.count, toBeHad: true }));
}

function stockKeys({ jar }: SeasonRecipe, { hardware, hardwareMoves }: SeasonHousehold): string[] {
  const mouth = usualMouth(jar, hardwareMoves);
  const reusable = hardware.some(({ kind, count }) => kind === 'reusable-lid' && count > 0);
  const wanted = [
    hardwareKey({ kind: 'jar', size: jar, mouth }),
    hardwareKey({ kind: reusable ? 'reusable-lid' : 'lid', mouth }),
  ];
  return wanted.filter((key) => hardware.some((thing) => hardwareKey(thing) === key));
}
