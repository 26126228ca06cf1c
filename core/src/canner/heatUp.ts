import { type JarSize } from '../handbook/jars';
import { type Range } from '../math/range';
import { boilingPointF } from '../process/boilingPoint';
import { type Method, type Way } from '../process/method';
import { type Canner, isPressure, type OwnJar } from './canner';
import { jarLitres, waterLitres } from './waterLitres';

/** Heat to warm a kilogram by one degree Celsius, in kilojoules. From memory of tables; food is mostly water. */
const WATER_KJ = 4.19;
const FOOD_KJ = 3.8;
const GLASS_KJ = 0.84;
/** Glass of a jar for each litre it holds, kg. Common practice: a quart weighs about 0.45 kg. */
const GLASS_KG_PER_LITRE = 0.48;
/** What a closed pot loses on the way, as part of what the burner gives. Common practice. */
const LID_ON_LOSS = 0.15;
const LID_OFF_LOSS = 0.4;
/** Water on its way to the boil is warmed through before the middle of the jars is: so much of their heat is needed. */
const CONTENTS_PART = 0.6;
/** Burners, pots and kitchens differ: the middle 8 in 10 lie within these parts of the balance. Common practice. */
const SPREAD = { low: 0.75, high: 1.4 };

/** Water at loading: 180 F for hot packs, 140 F for raw ones. Handbook rule 6. */
export const LOADING_F = { hot: 180, raw: 140 } as const;
/** A low-temperature bath takes its jars in water of 120 to 140 F and is held at 180 to 185 F. Handbook rule 8. */
const BATH_F = { loading: 130, held: 182 } as const;
/** From here on jars may go into such a bath. Handbook rule 8. */
export const BATH_FROM_F = 120;
/** Water that is hotter than this is cooled before jars of less go in. */
export const RAW_BELOW_F = 160;
/** Hot water ladled out, and as much cold poured in, litres a minute; then stirred and measured. Common practice. */
const LADLE_LITRES_PER_MINUTE = 3;
const POUR_LITRES_PER_MINUTE = 6;
const MEASURE_MINUTES = 1.5;
/** Food as it goes into the jars. Common practice. */
const CONTENTS_F = { hot: 185, raw: 85 } as const;
/** Water from the tap. Common practice. */
const TAP_F = 60;
/** A column of steam over little water takes its time to push the air out; pressure is vented 10 min (rule 5). */
const STEADY_MINUTES = 3;
const VENT_MINUTES = 10;
/** Venting, and on to pressure by way of the weight's first jiggle. Common practice for the latter. */
export const TO_PRESSURE_MINUTES = VENT_MINUTES + 5;

/** A canner that serves in two ways takes its own time in each. */
export function heatUpKey(cannerId: string, method: Way): string {
  return `${method} ${cannerId}`;
}

export interface HeatUpQuestion {
  readonly canner: Canner;
  readonly jar: JarSize;
  readonly jars: number;
  readonly pack: 'hot' | 'raw';
  readonly method: Method;
  readonly processMinutes: number;
  readonly altitudeFt: number;
  readonly lidOn?: boolean;
  readonly own?: OwnJar;
}

/**
 * Minutes from the last jar in to the full boil (steam: steady; pressure: vented and at pressure), by an energy balance of
 * water, glass and contents against what the burner gives.
 *
 * @param taken minutes this canner has really taken, newest last: they replace the balance as soon as there are any
 */
export function heatUpMinutes(question: HeatUpQuestion, taken: readonly number[] = []): Range {
  if (taken.length > 0) return asTaken(taken);
  const { canner, jar, jars, pack, altitudeFt, method } = question;
  const targetF = method === 'low-temperature-bath' ? BATH_F.held : boilingPointF(altitudeFt);
  const food = jars * jarLitres(jar);
  const water = waterLitres(canner, question) ?? 0;
  const kJ =
    water * WATER_KJ * celsius(targetF - loadingF(question)) +
    CONTENTS_PART * celsius(Math.max(0, targetF - CONTENTS_F[pack])) * food * (FOOD_KJ + GLASS_KJ * GLASS_KG_PER_LITRE);
  const minutes = toMinutes(kJ, question) + extra(method);
  return spread(minutes);
}

/** Minutes from cold water to hot enough for the jars. */
export function preheatMinutes(question: HeatUpQuestion): Range {
  const water = waterLitres(question.canner, question) ?? 0;
  return spread(toMinutes(water * WATER_KJ * celsius(loadingF(question) - TAP_F), question));
}

/** How hot the water is when the jars go in. Handbook rules 6 and 8. */
export function loadingF({ method, pack }: Pick<HeatUpQuestion, 'method' | 'pack'>): number {
  return method === 'low-temperature-bath' ? BATH_F.loading : LOADING_F[pack];
}

/** Whether jars would crack in a canner that has just boiled: raw ones, and those of a low-temperature bath. */
export function wantsCoolWater(question: Pick<HeatUpQuestion, 'method' | 'pack'>): boolean {
  return loadingF(question) < RAW_BELOW_F;
}

/**
 * What brings a canner from the boil down to where raw jars may go in: so much hot water out, as much cold in.
 *
 * Source: an energy balance of mixing, water of the boiling point with water from the tap.
 */
export function coolDown(question: HeatUpQuestion): { readonly litres: number; readonly minutes: Range } {
  const boilF = boilingPointF(question.altitudeFt);
  const water = waterLitres(question.canner, question) ?? 0;
  const litres = (water * (boilF - loadingF(question))) / (boilF - TAP_F);
  const minutes = litres / LADLE_LITRES_PER_MINUTE + litres / POUR_LITRES_PER_MINUTE + MEASURE_MINUTES;
  return { litres, minutes: spread(minutes) };
}

function extra(method: Method): number {
  if (method === 'steam') return STEADY_MINUTES;
  return isPressure(method) ? TO_PRESSURE_MINUTES : 0;
}

function toMinutes(kJ: number, { canner, lidOn = true }: HeatUpQuestion): number {
  const kW = (canner.burnerWatts / 1_000) * (1 - (lidOn ? LID_ON_LOSS : LID_OFF_LOSS));
  return kJ / kW / 60;
}

/** The middle one of the last five, and how far they lay apart. */
export function asTaken(taken: readonly number[]): Range {
  const last = [...taken.slice(-5)].sort((a, b) => a - b);
  const p50 = last[last.length >> 1] as number;
  return {
    p10: Math.min(last[0] as number, p50 * 0.9),
    p50,
    p90: Math.max(last.at(-1) as number, p50 * 1.15),
  };
}

function spread(minutes: number): Range {
  return { p10: minutes * SPREAD.low, p50: minutes, p90: minutes * SPREAD.high };
}

function celsius(degreesF: number): number {
  return degreesF / 1.8;
}
