import { NO_INSTRUMENTS } from '@hoddle/contract/instrument';
import { format, isSaturday, lastDayOfMonth, previousSaturday, set, subDays } from 'date-fns';
import { type BackupData } from '@hoddle/contract/backup';
import { type CheckedRow } from '@hoddle/contract/checkedRow';
import { type Batch } from '@hoddle/core/day/batch';
import { type Pick as HarvestPick } from '@hoddle/core/harvest/pick';
import { type DayEvent } from '@hoddle/core/kitchen/dayEvent';
import { type KitchenEvent } from '@hoddle/core/kitchen/kitchenEvent';
import { KG_PER_LB } from '@hoddle/core/measure/amount';
import { findProcess } from '@hoddle/core/process/findProcess';
import { type HouseholdSource } from '@hoddle/core/process/householdSource';
import { demoPantry, demoPlaces } from './demoPantry';
import { demoGarden, plantingOf } from './demoGarden';
import { idOf } from './demoIds';
import { demoCanners, demoKitchen } from './demoKitchen';
import { demoRecipeRecords, demoRecipes } from './demoRecipes';
import { demoSeasons } from './demoSeasons';

/** A household to try Hoddle with. Everything in it is invented. */
export type DemoHousehold = Omit<BackupData, 'demoOffsetMs'> & { readonly demoNow: number };

const MINUTE = 60_000;
const HOUR = 60 * MINUTE;
const DAY = 24 * HOUR;

/** 7:40 on the last Saturday of August of the year of `now`, in the machine's time zone. */
export function demoStart(now: Date): Date {
  const august = lastDayOfMonth(new Date(now.getFullYear(), 7, 1));
  const saturday = isSaturday(august) ? august : previousSaturday(august);
  return set(saturday, { hours: 7, minutes: 40, seconds: 0, milliseconds: 0 });
}

/** Fennick Hollow, a hillside holding at 3,420 ft, as it is on that Saturday morning. */
export function fennickHollow(now: Date): DemoHousehold {
  const demoNow = demoStart(now).getTime();
  const canner = idOf('Big enamel');
  const lastNight = damsonsOfLastNight(demoNow, canner);
  const seasons = demoSeasons(demoNow, canner);
  const batches = [...seasons.batches, ...lastNight.batches];
  const events = [...seasons.events, ...lastNight.events];
  return {
    demoNow,
    // Any number; the same one, so that the codes on its lids stay.
    mark: 3_420,
    household: {
      name: 'Fennick Hollow',
      altitudeFt: 3_420,
      units: 'us',
      burners: 4,
      canners: demoCanners(canner),
      kitchen: demoKitchen(),
      ownJars: [],
      places: demoPlaces(demoNow),
      bestMonths: 12,
      dateOrder: null,
      instruments: NO_INSTRUMENTS(),
    },
    picks: [
      ...seasons.picks,
      pick('tomato-paste', 68, 12, 'cool', demoNow - 40 * MINUTE),
      pick('damson', 28, 0, 'cool', demoNow - 3 * DAY),
      pick('bean-snap', 9, 0, 'refrigerator', demoNow - 4 * DAY),
      // For sauce and thin juice; traded over the fence, since the holding grows paste tomatoes alone.
      { ...pick('tomato-slicing', 40, 0, 'cool', demoNow - 14 * HOUR), source: 'given' },
      {
        ...pick('damson', 11, 0, 'freezer', demoNow - 9 * DAY),
        id: idOf('frozen damsons'),
        told: '2 gallon bags',
      },
    ],
    lotChanges: seasons.lotChanges,
    ...demoGarden(),
    ownMeasures: [{ crop: 'tomatillo', measure: 'colander', massKg: 3.5 * KG_PER_LB }],
    batches: batches as DemoHousehold['batches'],
    events: events as DemoHousehold['events'],
    dayEvents: lastNight.dayEvents as DemoHousehold['dayEvents'],
    curves: [],
    batchRecords: [...seasons.batchRecords, ...demoRecipeRecords(demoNow)] as DemoHousehold['batchRecords'],
    ...demoPantry(demoNow, batches, events),
    season: { days: DAYS, plan: null, pins: [], ticked: [] },
    checkedRows: checkedInSpring(demoNow),
    sources: [valleyLeaflet()] as DemoHousehold['sources'],
    recipes: demoRecipes() as DemoHousehold['recipes'],
  };
}

/** Saturdays and Wednesday evenings, and the freezer that is left for them. Invented. */
const DAYS = {
  weekly: [
    { weekday: 6, fromMin: 8 * 60, toMin: 20 * 60 },
    { weekday: 3, fromMin: 18 * 60, toMin: 21 * 60 + 30 },
  ],
  notOn: [],
  mostAWeek: 2,
  freezerBags: 12,
};

/** The row that is used most was held against the page in May. */
function checkedInSpring(demoNow: number): CheckedRow[] {
  const question = {
    product: 'tomatoes-crushed',
    pack: 'hot',
    jar: 'quart',
    method: 'boiling-water',
    altitudeFt: 3_420,
  };
  const answer = findProcess(question);
  if (answer.kind === 'refusal' || answer.rowId === undefined) throw new RangeError('the demo has no crushed tomatoes');
  return [{ rowId: answer.rowId, checkedOn: format(subDays(demoNow, 100), 'yyyy-MM-dd') }];
}

/** An invented leaflet with a time for taco sauce in quarts, which the handbook has for pints only. */
function valleyLeaflet(): HouseholdSource {
  return {
    id: idOf('leaflet of the valley'),
    title: 'Sauces of the valley, extension leaflet 12',
    kind: 'extension',
    page: '4',
    product: 'tomato-taco-sauce',
    lowAcid: false,
    pack: 'hot',
    jar: 'quart',
    method: 'boiling-water',
    headspaceIn: 0.5,
    bands: [
      { upToFt: 3_000, minutes: 25 },
      { upToFt: 6_000, minutes: 30 },
    ],
  };
}

function pick(
  crop: HarvestPick['crop'],
  lb: number,
  softLb: number,
  place: HarvestPick['place'],
  pickedAt: number,
): HarvestPick {
  return {
    id: idOf(`pick ${crop}`),
    crop,
    massKg: lb * KG_PER_LB,
    softKg: softLb * KG_PER_LB,
    ripeness: 'ripe',
    place,
    pickedAt,
    told: `${lb} lb`,
    source: 'garden',
    plantingId: plantingOf(crop),
  };
}

/** A load of damsons from yesterday evening: cooled overnight, lids not pressed yet. It took 9 of the 28 lb. */
function damsonsOfLastNight(
  demoNow: number,
  cannerId: string,
): { batches: Batch[]; events: KitchenEvent[]; dayEvents: DayEvent[] } {
  const loadId = idOf('load of damsons');
  const outAt = demoNow - 12 * HOUR - 35 * MINUTE;
  const batch: Batch = {
    id: idOf('batch of damsons'),
    product: 'plums',
    jar: 'pint',
    pack: 'hot',
    method: 'boiling-water',
    altitudeFt: 3_420,
    processMinutes: 30,
    cannerId,
    startAt: outAt - 3 * HOUR,
    recipe: 'plums',
    uses: [{ pickId: idOf('pick damson'), crop: 'damson', massKg: 9 * KG_PER_LB, softKg: 0 }],
    loads: [{ id: loadId, number: 1, jars: 8 }],
  };
  const event = (type: 'boil-reached' | 'heat-off' | 'jars-out', minutesBefore: number): KitchenEvent => ({
    id: idOf(`damsons ${type}`),
    loadId,
    type,
    at: outAt - minutesBefore * MINUTE,
  });
  const started: KitchenEvent = {
    id: idOf('damsons started'),
    loadId,
    type: 'load-started',
    jars: 8,
    at: outAt - 56 * MINUTE,
  };
  // Timed step by step, a little slower than the handbook: the next plan goes by it.
  const steps = [`wash-prick ${loadId}`, `jars ${batch.id}`, `fill ${loadId}`] as const;
  const took = [14, 12, 13];
  const dayEvents = steps.flatMap((taskId, i): DayEvent[] => {
    const from = batch.startAt + (5 + i * 20) * MINUTE;
    const own = (type: string) => ({
      id: idOf(`damsons ${type} ${i}`),
      day: format(batch.startAt, 'yyyy-MM-dd'),
      taskId,
    });
    return [
      { ...own('step started'), type: 'step-started', at: from },
      { ...own('step done'), type: 'step-done', at: from + (took[i] ?? 10) * MINUTE },
    ];
  });
  return {
    dayEvents,
    batches: [batch],
    events: [started, event('boil-reached', 36), event('heat-off', 6), event('jars-out', 0)],
  };
}
