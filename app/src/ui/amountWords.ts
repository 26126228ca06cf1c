import { type Household } from '@hoddle/contract/household';
import { METRES_PER_FT } from '@hoddle/core/measure/altitude';
import { printFraction } from '@hoddle/core/measure/fraction';

export { massWords } from '@hoddle/core/measure/massWords';

export type Units = Household['units'];

const MM_PER_IN = 25.4;

/** "3,420 ft"; in metric kitchens with the metres in front, since the tables go by feet. */
export function altitudeWords(altitudeFt: number, units: Units): string {
  const feet = `${altitudeFt.toLocaleString('en-US')} ft`;
  return units === 'metric' ? `${Math.floor(altitudeFt * METRES_PER_FT).toLocaleString('en-US')} m (${feet})` : feet;
}

/** "1/2 in", in metric kitchens "1/2 in (13 mm)": a headspace is measured in both. */
export function headspaceWords(inches: number, units: Units): string {
  const words = `${printFraction(inches)} in`;
  return units === 'metric' ? `${words} (${Math.round(inches * MM_PER_IN)} mm)` : words;
}

/** "205.7 F", "96.5 C". */
export function temperatureWords(fahrenheit: number, units: Units): string {
  const degrees = units === 'metric' ? (fahrenheit - 32) / 1.8 : fahrenheit;
  return `${(Math.round(degrees * 10) / 10).toFixed(1).replace(/\.0$/, '')} ${units === 'metric' ? 'C' : 'F'}`;
}
