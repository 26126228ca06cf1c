/** How far a figure may be from a third to be meant as one: pages print 0.33 and 9.33. */
const NEAR_A_THIRD = 0.004;

/**
 * Prints a measure the way a cook reads it: whole part and plain fraction ("3 1/2", "1/4", "14", "9 1/3").
 *
 * @param value from 0 up, in any unit
 * @param parts the finest fraction: 8 prints eighths (the default), 16 sixteenths
 */
export function printFraction(value: number, parts = 8): string {
  const thirds = Math.round(value * 3);
  if (thirds % 3 !== 0 && Math.abs(value - thirds / 3) < NEAR_A_THIRD)
    return mixed(Math.floor(thirds / 3), thirds % 3, 3);
  const inParts = Math.round(value * parts);
  const whole = Math.floor(inParts / parts);
  let over = inParts % parts;
  let under = parts;
  while (over > 0 && over % 2 === 0) {
    over /= 2;
    under /= 2;
  }
  return mixed(whole, over, under);
}

function mixed(whole: number, over: number, under: number): string {
  if (over === 0) return String(whole);
  return whole === 0 ? `${over}/${under}` : `${whole} ${over}/${under}`;
}
