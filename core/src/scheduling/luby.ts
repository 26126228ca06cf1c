/** The universal sequence of restarts: 1, 1, 2, 1, 1, 2, 4, ... Luby, Sinclair and Zuckerman 1993. @param i from 1 on */
export function luby(i: number): number {
  let k = 1;
  while (2 ** k - 1 < i) k++;
  return 2 ** k - 1 === i ? 2 ** (k - 1) : luby(i - 2 ** (k - 1) + 1);
}
