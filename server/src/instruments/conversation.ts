import * as v from 'valibot';
import { HelloSchema, type InstrumentReply, InstrumentLineSchema } from '@hoddle/contract/instrument';
import { type Pairing } from '../access/pairing';
import { type Who } from '../access/who';
import { Problem } from '../problem';
import { type InstrumentHub } from './instrumentHub';

/** What has not said who it is by then is nobody. */
export const HELLO_MS = 10_000;

/** So many lines of one wire are taken in a second; the rest waits on its way, so that nobody else does. */
const MOST_A_SECOND = 8_000;
/** The same fault of the same instrument is said so often at most. */
const SAY_EVERY_MS = 5_000;
/** Lines of nonsense after which nobody listens any more. */
const MOST_NONSENSE = 200;

export interface Line {
  /** Who it is by how it came: this machine itself, or a device that was let in; undefined for nobody known. */
  readonly who: Who | undefined;
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
  private second = 0;
  private inSecond = 0;
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
    await this.turn();
    const now = this.hub.now();
    const told = text === null ? undefined : read(text);
    const line = told === undefined ? undefined : v.safeParse(InstrumentLineSchema, told);
    if (!line?.success) return this.setAside(text === null ? 'too-long' : 'nonsense');
    this.ids.add(line.output.id);
    const taken = this.hub.take(line.output, now);
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
      const byKey = hello.key === undefined ? undefined : this.pairing.deviceOf(hello.key);
      const who = hello.key === undefined ? this.line.who : byKey && { role: byKey.role, device: byKey };
      // One that only looks tells nothing.
      if (!who || who.role === 'looker') return this.refuse('This device is not paired with the household.');
      this.device = who.device?.id;
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

  /** What was kept for an hour comes in one piece: it is taken in turns. */
  private async turn(): Promise<void> {
    const second = Math.floor(performance.now() / 1_000);
    if (this.second !== second) [this.second, this.inSecond] = [second, 0];
    if (++this.inSecond <= MOST_A_SECOND) return;
    await new Promise((next) => setTimeout(next, 1_000 * (second + 1) - performance.now()));
    [this.second, this.inSecond] = [second + 1, 1];
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
