import * as v from 'valibot';
import { Id } from './id';

export const INSTRUMENT_KINDS = ['kitchen-scale', 'hanging-scale', 'probe', 'pressure-gauge', 'jar-counter'] as const;
const UNITS = ['g', 'kg', 'oz', 'lb', 'F', 'C', 'psi', 'kPa', 'jars'] as const;

/** An instrument names itself as it likes: a serial number, an address of the radio, a UUID. */
export const InstrumentId = v.pipe(v.string(), v.minLength(1, 'is empty'), v.maxLength(64, 'is too long'));
const Name = v.pipe(v.string(), v.trim(), v.minLength(1, 'needs a name'), v.maxLength(40, 'is too long'));
/** Its own clock may be set to any year. */
const OwnTime = v.pipe(v.number(), v.finite());

/** A line that an instrument sends once it was let in; see docs/devices.md. */
export const InstrumentLineSchema = v.variant('type', [
  v.object({
    type: v.literal('announce'),
    id: InstrumentId,
    name: Name,
    kind: v.picklist(INSTRUMENT_KINDS),
    unit: v.picklist(UNITS),
    step: v.pipe(v.number(), v.gtValue(0, 'must be above 0')),
    battery: v.optional(v.pipe(v.number(), v.minValue(0), v.maxValue(100))),
    at: v.optional(OwnTime),
  }),
  v.object({ type: v.literal('reading'), id: InstrumentId, at: OwnTime, value: v.pipe(v.number(), v.finite()) }),
  v.object({ type: v.picklist(['lost', 'back']), id: InstrumentId, at: OwnTime }),
]);

/** The first line of a connection: this machine itself, a key that was given, or a code that a screen shows. */
export const HelloSchema = v.variant('type', [
  v.object({ type: v.literal('hello'), key: v.optional(v.pipe(v.string(), v.maxLength(200))) }),
  v.object({ type: v.literal('pair'), code: v.pipe(v.string(), v.maxLength(20)), name: Name }),
]);

/** What the server answers, a line each. */
export type InstrumentReply =
  | { readonly type: 'welcome'; readonly now: number }
  | { readonly type: 'paired'; readonly key: string; readonly now: number }
  | { readonly type: 'set-aside'; readonly why: string; readonly id?: string }
  | { readonly type: 'refused'; readonly message: string };

/** Where an instrument is, which decides what it is asked for. */
export const InstrumentPlaceSchema = v.variant('at', [
  v.object({ at: v.literal('canner'), cannerId: Id }),
  v.object({ at: v.picklist(['pot', 'jar', 'refrigerator', 'room']) }),
]);
export type InstrumentPlace = v.InferOutput<typeof InstrumentPlaceSchema>;

/** What the household has told of its instruments. */
export const InstrumentSettings = v.object({
  places: v.pipe(
    v.array(v.object({ id: InstrumentId, name: Name, place: InstrumentPlaceSchema })),
    v.maxLength(100, 'are too many'),
  ),
  /** What is put on a scale with something in it: known again by its weight. */
  containers: v.pipe(
    v.array(
      v.object({
        id: Id,
        name: Name,
        grams: v.pipe(v.number(), v.gtValue(0, 'must weigh something'), v.maxValue(30_000, 'is too heavy')),
      }),
    ),
    v.maxLength(60, 'are too many'),
  ),
  /** Whether a clock begins with a tap alone, or by the probe with the tap asked afterwards. */
  startsClock: v.picklist(['tap', 'probe']),
});
export type InstrumentSettings = v.InferOutput<typeof InstrumentSettings>;

export const NO_INSTRUMENTS = (): InstrumentSettings => ({ places: [], containers: [], startsClock: 'tap' });

const WATCH_KINDS = [
  'water-ready',
  'boil-found',
  'boil-lost',
  'too-cool',
  'too-hot',
  'under-pressure',
  'elsewhere',
] as const;

/** What instruments tell now: a line of `GET /api/changes` named `instruments`, and the reply of `GET /api/instruments`. */
export const InstrumentsNow = v.object({
  instruments: v.array(
    v.object({
      id: InstrumentId,
      name: v.string(),
      kind: v.picklist(INSTRUMENT_KINDS),
      /** In the base of its kind: grams, Fahrenheit, psi, jars. */
      step: v.number(),
      battery: v.optional(v.number()),
      isLost: v.boolean(),
      sharesName: v.boolean(),
      clockBehindMs: v.optional(v.number()),
      setAside: v.record(v.string(), v.number()),
      /** Household's time and value in the base of its kind. */
      last: v.optional(v.object({ at: v.number(), value: v.number() })),
      /** Of a scale: what lies still on it, and since when. */
      still: v.optional(v.object({ at: v.number(), grams: v.number() })),
    }),
  ),
  /** What instruments at loads call for, by the load's id; household's time. */
  calls: v.array(
    v.object({
      loadId: Id,
      instrument: InstrumentId,
      kind: v.picklist(WATCH_KINDS),
      since: v.number(),
      reads: v.number(),
    }),
  ),
  /** Of refrigerators that are too warm over what stands in them. */
  warm: v.array(v.object({ instrument: InstrumentId, since: v.number(), reads: v.number() })),
});
export type InstrumentsNow = v.InferOutput<typeof InstrumentsNow>;

/** The body of `POST /api/instruments/simulated`: "on", "off", or what happens there ("weigh 5.2", "flame 1 0"). */
export const SimulatedRequest = v.object({ what: v.pipe(v.string(), v.maxLength(60, 'is too long')) });

/** What an instrument told of one load, as it is kept. */
export const LoadCurveSchema = v.object({
  id: Id,
  instrument: InstrumentId,
  measures: v.picklist(['F', 'psi']),
  startAt: v.number(),
  wants: v.number(),
  readsMoreF: v.number(),
  points: v.pipe(v.array(v.tuple([v.number(), v.number()])), v.maxLength(1_000, 'are too many')),
});
