import { type Minutes } from '@hoddle/core/recipe/own/recipePage';

/** "20 min", "3 to 4 h", "2 days": in the largest unit that both ends have whole or half of. */
export function minutesWords([low, high]: Minutes): string {
  const [size, word] =
    high >= 2_880 && low % 1_440 === 0 ? [1_440, 'days'] : high >= 120 && low % 30 === 0 ? [60, 'h'] : [1, 'min'];
  const print = (minutes: number) => String(Math.round((10 * minutes) / size) / 10);
  const name = word === 'days' && high <= 1_440 ? 'day' : word;
  return low === high ? `${print(low)} ${name}` : `${print(low)} to ${print(high)} ${name}`;
}

/** "90", "1.5 h", "2 days", "1 to 3 h" as minutes; undefined for what is no time. */
export function readMinutes(typed: string): Minutes | undefined {
  const found = /^\s*(\d+(?:[.,]\d+)?)\s*(?:(?:-|–|to)\s*(\d+(?:[.,]\d+)?))?\s*(min|m|h|hours?|d|days?)?\s*$/i.exec(
    typed,
  );
  if (!found) return undefined;
  const unit = (found[3] ?? 'min').toLowerCase();
  const size = unit.startsWith('d') ? 1_440 : unit.startsWith('h') ? 60 : 1;
  const number = (text: string) => Math.round(Number(text.replace(',', '.')) * size);
  const low = number(found[1] ?? '0');
  const high = found[2] === undefined ? low : number(found[2]);
  return high >= low && high <= 60 * 1_440 ? [low, high] : undefined;
}
