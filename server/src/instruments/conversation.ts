import * as v from 'valibot';
import { HelloSchema, type InstrumentReply, InstrumentLineSchema } from '@hoddle/contract/instrument';
import { isAtLeast } from '@hoddle/contract/device';
import { type InstrumentLine } from '@hoddle/core/instruments/instrumentBoard';
import { type Pairing } from '../access/pairing';
import { Problem } from '../problem';
import { type InstrumentHub } from './instrumentHub';

/** What has not said who it is by then is nobody. */
export const HELLO_MS = 10_000;

/** More than this in ten seconds, after what was kept for an hour came in, is no kitchen. */
const FLOOD_LINES = 40_000;
const FLOOD_MS = 10_000;
/** The same fault of the same instrument is said so often at most. */
const SAY_EVERY_MS = 5_000;
/** Lines of nonsense after which nobody listens any more. */
const MOST_NONSENSE = 200;

export interface Line {
  /** Whether it comes from this machine itself. */
  readonly isHome: boolean;
  readonly address: string;
  readonly say: (reply: InstrumentReply) => void;
  readonly hangUp: () => void;
}

/** One connection, whatever carries its lines: it says who it is, and then what it weighs and measures. */
export class Conversation {
  private isIn = false;
  private isOver = false;
  private device: string | undefined;
  private nonsense = 0;
  private said = new Map<string, number>();
  private window = 0;
  private inWindow = 0;
  private readonly ids = new Set<string>();

  constructor(
    private readonly line: Line,
    private readonly hub: InstrumentHub,
    private readonly pairing: Pairing,
  ) {}

  get isLetIn(): boolean {
    return this.isIn;
  }

  /** One line after the other. @param text a line, or null for one that was too long */
  async hear(text: string | null): Promise<void> {
    if (this.isOver) return;
    if (!this.isIn) return this.open(text);
    if (this.device !== undefined && !this.pairing.isIn(this.device)) return this.refuse('This device was shut out.');
    const now = this.hub.now();
    if (now - this.window > FLOOD_MS) [this.window, this.inWindow] = [now, 0];
    if (++this.inWindow > FLOOD_LINES) return this.refuse('Too much at once.');
    const told = text === null ? undefined : read(text);
    const line = told === undefined ? undefined : v.safeParse(InstrumentLineSchema, told);
    if (!line?.success) return this.setAside(text === null ? 'too-long' : 'nonsense');
    this.ids.add(line.output.id);
    const taken = this.hub.take(line.output as InstrumentLine, now);
    if (taken.kind === 'set-aside') this.setAside(taken.why, line.output.id);
  }

  /** The wire is gone: what spoke over it is out of reach. */
  end(): void {
    this.isOver = true;
    this.hub.silent([...this.ids]);
  }

  private async open(text: string | null): Promise<void> {
    const told = text === null ? undefined : v.safeParse(HelloSchema, read(text));
    if (!told?.success) return this.refuse('Say hello first: see docs/devices.md.');
    const hello = told.output;
    if (hello.type === 'hello') {
      const device = hello.key === undefined ? undefined : this.pairing.deviceOf(hello.key);
      const mayCome = device ? isAtLeast(device.role, 'instrument') : this.line.isHome && hello.key === undefined;
      if (!mayCome) return this.refuse('This device is not paired with the household.');
      this.device = device?.id;
      this.isIn = true;
      return this.line.say({ type: 'welcome', now: this.hub.now() });
    }
    try {
      const { device, key } = await this.pairing.pair(hello, this.line.address);
      this.device = device.id;
      this.isIn = true;
      this.line.say({ type: 'paired', key, now: this.hub.now() });
    } catch (error) {
      this.refuse(error instanceof Problem ? error.message : 'It could not be let in.');
    }
  }

  private setAside(why: string, id?: string): void {
    const key = `${why} ${id ?? ''}`;
    const now = this.hub.now();
    if (now - (this.said.get(key) ?? -Infinity) >= SAY_EVERY_MS) {
      this.said.set(key, now);
      this.line.say({ type: 'set-aside', why, ...(id !== undefined && { id }) });
    }
    if (id === undefined && ++this.nonsense > MOST_NONSENSE) this.refuse('Nothing of this can be read.');
  }

  private refuse(message: string): void {
    this.end();
    this.line.say({ type: 'refused', message });
    this.line.hangUp();
  }
}

function read(text: string): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    return undefined;
  }
}
