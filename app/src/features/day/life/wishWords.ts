import { nameOf } from '@hoddle/core/day/batch';
import { type DayWish } from '@hoddle/core/day/dayWish';
import { type Canner } from '@hoddle/core/canner/canner';
import { METHOD_WORDS } from '@hoddle/core/process/method';
import { clockTimeFrom } from '@/ui/clockWords';
import { type Day } from '@hoddle/core/kitchen/dayInHand';

/** "Load 2 goes in at 2 pm", for a wish of a day. */
export function wishWords(wish: DayWish, day: Day, canners: readonly Pick<Canner, 'id' | 'name'>[]): string {
  const load = (id: string) => {
    const number = day.loads.findIndex((own) => own.id === id || own.guests.some((guest) => guest.load.id === id)) + 1;
    return number > 0 ? `load ${number}` : 'a load that is gone';
  };
  const first = (words: string) => words.slice(0, 1).toUpperCase() + words.slice(1);
  const at = (moment: number) => clockTimeFrom(moment, day.startAt);
  switch (wish.kind) {
    case 'pin':
      return first(`${load(wish.loadId)} goes in at ${at(wish.at)}`);
    case 'canner': {
      const canner = canners.find(({ id }) => id === wish.cannerId)?.name ?? 'a canner that is gone';
      return first(`${load(wish.loadId)} goes into ${canner}`);
    }
    case 'way': {
      const batch = day.batches.find(({ id }) => id === wish.batchId);
      return `${batch ? nameOf(batch) : 'A batch that is gone'} ${METHOD_WORDS[wish.method]} only`;
    }
    case 'before':
      return first(`${load(wish.loadId)} before ${load(wish.otherId)}`);
    case 'apart':
      return first(`${load(wish.loadId)} and ${load(wish.otherId)} never at once`);
    case 'ready-by':
      return `Ready by ${at(wish.at)}`;
    case 'not-before':
      return `Nothing begins before ${at(wish.at)}`;
  }
}
