/**
 * Prints a measure the way a cook reads it: whole part and plain fraction ("3 1/2", "1/4", "14").
 *
 * @param value from 0 up, in any unit
 * @param parts the finest fraction: 8 prints eighths (the default), 16 sixteenths
 */
export function printFraction(value: number, parts = 8): string {
  const inParts = Math.round(value * parts);
  const whole = Math.floor(inParts / parts);
  let over = inParts % parts;
  let under = parts;
  while (over > 0 && over % 2 === 0) {
    over /= 2;
    under /= 2;
  }
  if (over === 0) return String(whole);
  return whole === 0 ? `${over}/${under}` : `${whole} ${over}/${under}`;
}
