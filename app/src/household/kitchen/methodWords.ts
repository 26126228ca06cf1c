import { isPressure } from '@hoddle/core/canner/canner';
import { type Batch } from '@hoddle/core/day/batch';
import { degreesWords } from '@hoddle/core/measure/degreesWords';
import { boilingPointF } from '@hoddle/core/process/boilingPoint';
import { type Units } from '@/ui/amountWords';
import { bathWords } from '@/ui/bathWords';

/** What the kitchen says to a load, by the way it is processed: each starts its clock at something else. */
export interface MethodWords {
  /** When the clock starts, beside a list. */
  readonly when: string;
  /** What to wait for before the clock may start. */
  readonly wait: string;
  readonly start: string;
  readonly startAgain: string;
  /** The key when it is lost, and what was lost. */
  readonly loseKey: string;
  readonly lost: string;
  readonly left: string;
  readonly done: string;
  /** The key at the end of the time, short for a list, and what is waited for after it. */
  readonly heatOff: string;
  readonly heatOffShort: string;
  readonly resting: string;
  readonly liftOutNote: string;
  /** Under pressure only: before the weight goes on, and while the pressure falls. */
  readonly vent?: {
    readonly wait: string;
    readonly start: string;
    readonly left: string;
    readonly over: string;
    readonly falling: string;
    readonly zero: string;
  };
}

const STEAM_BURNS = 'Lid away from your face: steam burns';

/** @returns words for a batch, with its tested minutes and where there is one its pressure */
export function methodWords({ method, processMinutes, pressurePsi, altitudeFt }: Batch, units: Units): MethodWords {
  const minutes = `${processMinutes} min`;
  const open = {
    heatOff: 'Heat off, lid off: wait 5 min',
    heatOffShort: 'Heat off, lid off',
    resting: 'Lid off, wait 5 min',
    liftOutNote: STEAM_BURNS,
  };
  if (isPressure(method)) {
    const psi = `${pressurePsi ?? 'tested'} psi`;
    return {
      when: psi,
      wait: `Weight on, up to ${psi}`,
      start: `Vented, at ${psi}: start ${minutes}`,
      startAgain: `At ${psi} again: start ${minutes}`,
      loseKey: `Under ${psi}`,
      lost: 'Pressure lost',
      left: `min left at ${psi}`,
      done: `${minutes} at ${psi}`,
      heatOff: 'Heat off: it comes down by itself',
      heatOffShort: 'Heat off, hands off',
      resting: 'Weight off, wait 10 min',
      liftOutNote: 'At 0 psi only, lid away from your face',
      vent: {
        wait: 'Weight off, lid locked: wait for a strong column of steam',
        start: 'Strong steam: vent 10 min',
        left: 'min left to vent',
        over: `Weight on, up to ${psi}`,
        falling: 'It comes down by itself',
        zero: 'It is at 0 psi: weight off',
      },
    };
  }
  if (method === 'steam') {
    const steam = degreesWords(boilingPointF(altitudeFt), units);
    return {
      when: 'steam',
      wait: `Wait for a steady column of steam, ${steam}`,
      start: `Steady at ${steam}: start ${minutes}`,
      startAgain: `Steady again: start ${minutes}`,
      loseKey: 'Lost the steam',
      lost: 'Steam lost, top up with boiling water',
      left: 'min left in steam',
      done: `${minutes} in steam`,
      heatOff: 'Heat off, lid on: wait 5 min',
      heatOffShort: 'Heat off, lid on',
      resting: 'Lid on, wait 5 min',
      liftOutNote: STEAM_BURNS,
    };
  }
  if (method === 'low-temperature-bath') {
    const { low, both } = bathWords(units);
    return {
      when: low,
      wait: `Wait for ${low} by the thermometer`,
      start: `At ${low}: start ${minutes}`,
      startAgain: `At ${low} again: start ${minutes}`,
      loseKey: `Under ${low}`,
      lost: `Fell under ${low}`,
      left: `min left, ${both}`,
      done: `${minutes} at ${low}`,
      ...open,
    };
  }
  return {
    when: 'boil',
    wait: 'Wait for a full rolling boil',
    start: `It boils: start ${minutes}`,
    startAgain: `Boiling again: start ${minutes}`,
    loseKey: 'Lost the boil',
    lost: 'Boil lost',
    left: 'min left at the boil',
    done: `${minutes} boiled`,
    ...open,
  };
}
