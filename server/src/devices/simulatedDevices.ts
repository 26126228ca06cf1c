import { type InstrumentLine } from '@hoddle/core/instruments/instrumentBoard';
import { HANGING, INSTRUMENTS, PROBES, SCALE, type SimulatedKitchen } from './simulatedKitchen';

const TICK_MS = 100;

export const HELP = `What happens in that kitchen, a line each:
  weigh KG | hang LB        something is put on a scale; 0 takes it off
  flame 1|2 PERCENT         the burner under a pot        lid 1|2 on|off
  jars 1|2 LITRES F         jars go into a pot            fridge F
  psi P                     pressure it goes to           door +3|-1
  stick ID | away ID | back ID`;

interface How {
  /** Its own clock is so far ahead of the right one. */
  readonly clockOffMs?: number;
  /** The first probe is out of reach for some seconds of each minute. */
  readonly dropouts?: boolean;
  /** It has been going on for so long already: what it kept of that comes first. */
  readonly sinceMs?: number;
  readonly now?: () => number;
}

/** The instruments of a kitchen that is not there: they announce themselves and tell ten times a second, to whoever takes their lines. */
export class SimulatedDevices {
  private timer: ReturnType<typeof setInterval> | undefined;
  private livedTo: number;
  private readonly now: () => number;

  constructor(
    private readonly kitchen: SimulatedKitchen,
    private readonly tell: (line: InstrumentLine) => void,
    private readonly how: How = {},
  ) {
    this.now = how.now ?? Date.now;
    this.livedTo = this.now() - (how.sinceMs ?? 0);
  }

  start(): void {
    const at = this.now() + (this.how.clockOffMs ?? 0);
    for (const each of INSTRUMENTS) this.tell({ type: 'announce', ...each, at });
    this.live();
    this.timer = setInterval(() => this.live(), TICK_MS);
    this.timer.unref();
  }

  stop(): void {
    clearInterval(this.timer);
    for (const { id } of INSTRUMENTS) this.tell({ type: 'lost', id, at: this.now() });
  }

  /** @returns whether it was understood */
  happen(line: string): boolean {
    const [word = '', first = '', second = '', third = ''] = line.trim().split(/\s+/);
    const { kitchen } = this;
    const pot = first === '2' ? 1 : 0;
    switch (word) {
      case 'weigh':
        kitchen.weigh(SCALE, Number(first) * 1_000);
        return true;
      case 'hang':
        kitchen.weigh(HANGING, Number(first) * 453.592_37);
        return true;
      case 'flame':
        kitchen.flame(pot, Number(second) / 100);
        return true;
      case 'lid':
        kitchen.lid(pot, second !== 'off');
        return true;
      case 'jars':
        kitchen.putIn(pot, Number(second), Number(third));
        return true;
      case 'fridge':
        kitchen.refrigerator(Number(first));
        return true;
      case 'psi':
        kitchen.pressure(Number(first));
        return true;
      case 'door':
        kitchen.door(Number(first));
        return true;
      case 'stick':
        kitchen.stick(first);
        return true;
      case 'away':
      case 'back':
        this.tell({ type: word === 'away' ? 'lost' : 'back', id: first, at: this.now() });
        kitchen.reach(first, word === 'back');
        return true;
      default:
        return false;
    }
  }

  /** Lives on to now, and tells each tenth of a second of it. */
  private live(): void {
    while (this.livedTo + TICK_MS <= this.now()) {
      this.livedTo += TICK_MS;
      this.kitchen.goOn(TICK_MS);
      if (this.how.dropouts) this.kitchen.reach(PROBES[0], this.livedTo % 60_000 > 8_000);
      const at = this.livedTo + (this.how.clockOffMs ?? 0);
      for (const { id, value } of this.kitchen.readings()) this.tell({ type: 'reading', id, at, value });
    }
  }
}
