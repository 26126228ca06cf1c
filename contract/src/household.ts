import * as v from 'valibot';
import { CANNER_METHODS, isPressure, USUAL_BURNER_WATTS } from '@hoddle/core/canner/canner';
import { DAY_MIN, HEAT_UNITS, USUAL_KITCHEN } from '@hoddle/core/day/kitchenSetup';
import { JAR_SIZES } from '@hoddle/core/handbook/jars';
import { DATE_ORDERS } from '@hoddle/core/measure/dateWords';
import { USUAL_PLACES } from '@hoddle/core/pantry/place';
import { AltitudeFt } from './altitude';
import { Jar } from './crop';
import { Id, oneOfEach } from './id';
import { InstrumentSettings, NO_INSTRUMENTS } from './instrument';
import { BestMonthsSchema, PlaceSchema } from './jarLot';

const Inches = v.pipe(
  v.number('must be a number of inches'),
  v.gtValue(0, 'must be above 0'),
  v.maxValue(40, 'must be at most 40 in'),
);
const Places = v.pipe(
  v.number('must be a number'),
  v.integer('must be whole'),
  v.minValue(0, 'must be 0 or more'),
  v.maxValue(40, 'must be at most 40'),
);

const Name = v.pipe(v.string(), v.trim(), v.minLength(1, 'needs a name'), v.maxLength(40, 'is too long'));

/** What is not told of a canner is taken for a plain pot on a common burner. */
export const CannerSchema = v.pipe(
  v.object({
    id: Id,
    name: Name,
    method: v.picklist(CANNER_METHODS, 'must be boiling-water, steam, pressure-dial or pressure-weighted'),
    alsoBoilingWater: v.optional(v.boolean(), false),
    insideDiameterIn: Inches,
    insideHeightIn: Inches,
    rackHeightIn: v.pipe(v.number(), v.minValue(0), v.maxValue(4, 'must be at most 4 in')),
    declaredQuarts: Places,
    declaredPints: Places,
    /** As many as pints unless said. */
    declaredHalfPints: v.optional(Places),
    layers: v.optional(v.picklist([1, 2], 'must be 1 or 2'), 1),
    burnerWatts: v.optional(
      v.pipe(
        v.number('must be a number of watts'),
        v.minValue(200, 'must be 200 or more'),
        v.maxValue(10_000, 'must be at most 10,000'),
      ),
      USUAL_BURNER_WATTS,
    ),
    electric: v.optional(v.boolean(), false),
    /** It times itself once it is started: its own minutes are told then. */
    timesItself: v.optional(v.boolean(), false),
    /** Its lid locks while it heats: nobody sees the boil. */
    lidLocks: v.optional(v.boolean(), false),
    testFits: v.optional(
      v.pipe(
        v.array(v.object({ jar: Jar, jars: v.pipe(Places, v.minValue(1, 'must be 1 or more')) })),
        v.maxLength(20, 'are too many'),
      ),
      [],
    ),
  }),
  v.forward(
    v.check(
      ({ method, electric }) => !(electric && isPressure(method)),
      'is never pressure: no electric vessel is tested',
    ),
    ['electric'],
  ),
  v.transform((canner) => ({ ...canner, declaredHalfPints: canner.declaredHalfPints ?? canner.declaredPints })),
);

const Count = (most: number) =>
  v.pipe(
    v.number('must be a number'),
    v.integer('must be whole'),
    v.minValue(0, 'must be 0 or more'),
    v.maxValue(most, `must be at most ${most}`),
  );
const Minute = Count(DAY_MIN);
/** What one cook does besides, day after day or week after week. */
export const MOST_BREAKS = 16;
/** 0 is Sunday. */
const Weekday = Count(6);
const Span = { fromMin: Minute, toMin: Minute };
const inOrder = <T extends { fromMin: number; toMin: number }>() =>
  v.check<T, string>(({ fromMin, toMin }) => fromMin < toMin, 'must end after it begins');

function isZone(name: string): boolean {
  try {
    Intl.DateTimeFormat('en', { timeZone: name });
    return true;
  } catch {
    return false;
  }
}

/** What the kitchen has for a preserving day; hours in minutes after midnight. */
export const KitchenSchema = v.object({
  cooks: v.pipe(
    v.array(
      v.pipe(
        v.object({
          name: Name,
          ...Span,
          breaks: v.pipe(
            v.array(
              v.pipe(
                v.object({
                  ...Span,
                  atHome: v.boolean(),
                  words: v.optional(Name),
                  minutes: v.optional(v.pipe(Minute, v.minValue(1, 'must be 1 or more'))),
                  weekdays: v.optional(
                    v.pipe(v.array(Weekday), v.minLength(1, 'must name a day'), v.maxLength(7), v.readonly()),
                  ),
                }),
                inOrder(),
                v.forward(
                  v.check(
                    ({ fromMin, toMin, minutes = 0 }) => minutes <= toMin - fromMin,
                    'is longer than the time there is for it',
                  ),
                  ['minutes'],
                ),
              ),
            ),
            v.maxLength(MOST_BREAKS, 'are too many'),
          ),
        }),
        inOrder(),
      ),
    ),
    v.minLength(1, 'must be 1 or more'),
    v.maxLength(4, 'must be at most 4'),
  ),
  cannerBurners: Count(12),
  bigPots: Count(12),
  /** What the largest of them holds to its rim; not told unless it is. */
  bigPotQuarts: v.optional(
    v.pipe(v.number('must be a number'), v.minValue(2, 'must be 2 or more'), v.maxValue(80, 'must be at most 80')),
  ),
  ovens: Count(4),
  mills: Count(4),
  strainers: Count(8),
  refrigeratorLb: Count(500),
  towelJars: Count(500),
  /** Hands-on minutes against the handbook's; its own unless said. */
  handsPace: v.optional(
    v.pipe(v.number('must be a number'), v.minValue(0.5, 'must be 0.5 or more'), v.maxValue(3, 'must be at most 3')),
  ),
  tools: v.pipe(v.array(v.object({ name: Name, count: Count(12), step: Name })), v.maxLength(12, 'are too many')),
  /** What heat costs, in the household's own money; not told unless it is. */
  heatPrice: v.optional(
    v.object({
      of: v.picklist(HEAT_UNITS, 'must be kWh, lb or kg'),
      price: v.pipe(v.number('must be a number'), v.minValue(0, 'must be 0 or more'), v.maxValue(1_000, 'is too much')),
    }),
  ),
  /** Where it stands, an IANA name: its days begin and end there, whatever a phone or the server says. */
  timeZone: v.optional(v.pipe(v.string(), v.maxLength(60, 'is too long'), v.check(isZone, 'is no time zone'))),
});
export type Kitchen = v.InferOutput<typeof KitchenSchema>;

const { burners: _, ...USUAL } = USUAL_KITCHEN;

/** The body of `PUT /api/household`. An altitude of null is one not set yet. */
export const Household = v.object({
  name: v.pipe(v.string(), v.trim(), v.maxLength(60, 'is too long')),
  altitudeFt: v.nullable(AltitudeFt),
  /** What figures are shown in first: pounds and feet, or kilograms and metres. */
  units: v.optional(v.picklist(['us', 'metric'], 'must be us or metric'), 'us'),
  burners: v.pipe(v.number(), v.integer(), v.minValue(1, 'must be 1 or more'), v.maxValue(12, 'must be at most 12')),
  canners: v.pipe(v.array(CannerSchema), v.maxLength(12, 'are too many'), oneOfEach()),
  kitchen: v.optional(KitchenSchema, v.parse(KitchenSchema, USUAL)),
  /** Jars the household measured itself: these sizes are drawn and packed so. */
  ownJars: v.optional(
    v.pipe(
      v.array(v.object({ size: Jar, diameterIn: Inches, heightIn: Inches })),
      v.maxLength(JAR_SIZES.length, 'are too many'),
    ),
    [],
  ),
  /** Where jars stand, and what they are set aside for. */
  places: v.optional(v.pipe(v.array(PlaceSchema), v.maxLength(40, 'are too many'), oneOfEach()), () => [
    ...USUAL_PLACES,
  ]),
  /** How long a sealed jar is said to be at its best. */
  bestMonths: v.optional(BestMonthsSchema, 12),
  /** In which order day, month and year are written; null for the usual one of its units. */
  dateOrder: v.optional(v.nullable(v.picklist(DATE_ORDERS, 'must be dmy, mdy or ymd')), null),
  /** Its scales and probes, what it weighs in, and whether a probe may begin a clock. */
  instruments: v.optional(InstrumentSettings, NO_INSTRUMENTS),
});
export type Household = v.InferOutput<typeof Household>;
