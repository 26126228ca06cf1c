import { type Household } from '@hoddle/contract/household';
import { CANNERS } from '@hoddle/core/handbook/canners';
import { altitudeFtFromMetres, HIGHEST_ALTITUDE_FT } from '@hoddle/core/measure/altitude';
import { readNumber } from '@hoddle/core/measure/readNumber';
import { useState } from 'react';
import { v7 as uuidV7 } from 'uuid';
import { deviceZone } from '@/store/householdZone';
import { USUAL_CANNER } from '@/store/emptyHousehold';

/** The kinds of canner that a plan can be made for. */
export const BOILING_CANNERS = CANNERS.filter(({ method }) => method === 'boiling-water');

export interface HouseholdDraft {
  readonly name: string;
  readonly altitude: string;
  readonly altitudeUnit: 'ft' | 'm';
  readonly units: Household['units'];
  /** Null for the usual one of its units. */
  readonly dateOrder: Household['dateOrder'];
  /** Where the kitchen is: this device's zone until another one is kept. */
  readonly timeZone: string;
  readonly cannerName: string;
  /** Row of the handbook's canners the measures come from; `own` keeps the household's. */
  readonly cannerKind: string;
  readonly quarts: number;
  readonly pints: number;
}

export type AltitudeReading =
  { kind: 'set'; altitudeFt: number } | { kind: 'unset' } | { kind: 'slip'; sentence: string };

/** Altitude in feet from what was typed; metres are converted once, upwards. */
export function readAltitude(typed: string, unit: 'ft' | 'm'): AltitudeReading {
  const reading = readNumber(typed.replace(/\s*(ft|feet|m|metres?|meters?)\.?$/i, ''));
  if (reading.kind === 'unreadable') {
    if (reading.why === 'empty') return { kind: 'unset' };
    if (reading.why === 'negative')
      return { kind: 'slip', sentence: 'Below sea level? Enter 0: the first band starts there.' };
    return { kind: 'slip', sentence: `"${typed}" is not an altitude. Try 3420.` };
  }
  const altitudeFt = unit === 'm' ? altitudeFtFromMetres(reading.value) : reading.value;
  if (altitudeFt <= HIGHEST_ALTITUDE_FT) return { kind: 'set', altitudeFt };
  return {
    kind: 'slip',
    sentence: `${altitudeFt.toLocaleString('en-US')} ft is higher than any kitchen here. Is it ${unit === 'ft' ? 'feet' : 'metres'}?`,
  };
}

/** Draft of the household's settings; nothing is kept until it is saved. */
export function useHouseholdDraft(household: Household) {
  const canner = household.canners[0];
  const [draft, setDraft] = useState<HouseholdDraft>({
    name: household.name,
    altitude: household.altitudeFt === null ? '' : String(household.altitudeFt),
    altitudeUnit: 'ft',
    units: household.units,
    dateOrder: household.dateOrder,
    timeZone: household.kitchen.timeZone ?? deviceZone(),
    cannerName: canner?.name ?? 'Big pot',
    cannerKind: canner ? 'own' : (BOILING_CANNERS[0]?.canner ?? ''),
    quarts: canner?.declaredQuarts ?? BOILING_CANNERS[0]?.declaredQuarts ?? 7,
    pints: canner?.declaredPints ?? BOILING_CANNERS[0]?.declaredPints ?? 9,
  });
  const change = (part: Partial<HouseholdDraft>) => setDraft((before) => ({ ...before, ...part }));
  const chooseKind = (cannerKind: string) => {
    const row = BOILING_CANNERS.find((candidate) => candidate.canner === cannerKind);
    change({ cannerKind, ...(row && { quarts: row.declaredQuarts, pints: row.declaredPints }) });
  };
  return { draft, change, chooseKind, altitude: readAltitude(draft.altitude, draft.altitudeUnit) };
}

/** The household as the draft has it. */
export function householdFrom(draft: HouseholdDraft, altitudeFt: number | null, before: Household): Household {
  const row = BOILING_CANNERS.find((candidate) => candidate.canner === draft.cannerKind);
  const known = before.canners[0];
  const measures = row ?? known ?? BOILING_CANNERS[0];
  if (!measures) throw new Error('the handbook has no canners');
  const { insideDiameterIn, insideHeightIn, rackHeightIn } = measures;
  const canner: Household['canners'][number] = {
    ...USUAL_CANNER,
    method: 'boiling-water',
    // Another kind of canner is another vessel: what was told of the old one does not hold for it.
    ...(row ? {} : known),
    id: known?.id ?? uuidV7(),
    name: draft.cannerName.trim() || 'Canner',
    insideDiameterIn,
    insideHeightIn,
    rackHeightIn,
    declaredQuarts: draft.quarts,
    declaredPints: draft.pints,
    declaredHalfPints: row ? draft.pints : (known?.declaredHalfPints ?? draft.pints),
  };
  return {
    ...before,
    name: draft.name.trim(),
    altitudeFt,
    units: draft.units,
    dateOrder: draft.dateOrder,
    kitchen: { ...before.kitchen, timeZone: draft.timeZone },
    canners: [canner, ...before.canners.slice(1)],
  };
}
