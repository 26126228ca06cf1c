import { localDate, localMoment } from '@hoddle/core/measure/localTime';

let zone: string | undefined;

/** From now on dates and clock times are those of the household's place, whatever the device says. */
export function setHouseholdZone(timeZone: string | undefined): void {
  zone = timeZone;
}

/** A moment by the household's calendar and clock. */
export function inZone(at: number): Date {
  return localDate(at, zone);
}

/** The moment of a date and a minute of it where the household is. Month 0 is January. */
export function momentInZone(...date: Parameters<typeof localMoment>[1]): number {
  return localMoment(zone, date);
}

/** Where this device believes to be: an IANA name. */
export function deviceZone(): string {
  return Intl.DateTimeFormat().resolvedOptions().timeZone;
}
