import { type Announced, MEASURES, stepInBase } from './instrument';

export type InstrumentLine =
  | ({ readonly type: 'announce' } & Announced)
  | { readonly type: 'reading'; readonly id: string; readonly at: number; readonly value: number }
  | { readonly type: 'lost' | 'back'; readonly id: string; readonly at: number };

/** Why something that was told is of no use. */
export type SetAside =
  'unannounced' | 'wrong-unit' | 'wrong-step' | 'cannot-be' | 'out-of-order' | 'too-many' | 'another-kind';

export type Taken =
  | { readonly kind: 'reading'; readonly id: string; readonly at: number; readonly value: number }
  | { readonly kind: 'known' }
  | { readonly kind: 'set-aside'; readonly why: SetAside };

export interface Instrument extends Announced {
  /** Newest reading on the household's clock, epoch milliseconds, and its value in the base of its kind. */
  readonly last?: { readonly at: number; readonly value: number };
  readonly isLost: boolean;
  /** Its clock is behind the household's by so many milliseconds, where that is more than a minute. */
  readonly clockBehindMs?: number;
  /** Another one goes by the same name. */
  readonly sharesName: boolean;
  /** How much of it was set aside, by why. */
  readonly setAside: Readonly<Partial<Record<SetAside, number>>>;
}

interface Held {
  announced: Announced;
  last?: { at: number; value: number };
  isLost: boolean;
  behindMs: number;
  readonly setAside: Partial<Record<SetAside, number>>;
  second: number;
  inSecond: number;
}

const CLOCK_OFF_MS = 60_000;
/** Nothing of a kitchen needs more; what tells more is broken. */
const MOST_A_SECOND = 50;
/** So many are held at most: a list that grows without end is no list of a kitchen. */
const MOST_INSTRUMENTS = 200;

/**
 * The instruments of a household as they announce themselves, and what they tell, put on one clock and one unit. What cannot be is
 * set aside and counted, so that it can be said; it never reaches what a decision is made from.
 *
 * An instrument's clock may be off by any amount: what it tells is dated by its own clock and the shortest way that a line of it
 * ever took, so that readings that were kept while it was out of reach come in where they belong.
 */
export class InstrumentBoard {
  private readonly held = new Map<string, Held>();

  /** @param receivedAt on the household's clock, epoch milliseconds */
  take(line: InstrumentLine, receivedAt: number): Taken {
    if (line.type === 'announce') return this.announce(line, receivedAt);
    const held = this.held.get(line.id);
    if (!held) return { kind: 'set-aside', why: 'unannounced' };
    if (line.type !== 'reading') {
      held.isLost = line.type === 'lost';
      return { kind: 'known' };
    }
    // Of its own clock: what was kept for minutes comes all at once.
    const second = Math.floor(line.at / 1_000);
    if (held.second !== second) [held.second, held.inSecond] = [second, 0];
    held.inSecond += 1;
    if (held.inSecond > MOST_A_SECOND) return setAside(held, 'too-many');
    const measure = MEASURES[held.announced.kind];
    const value = measure.toBase[held.announced.unit]?.(line.value) ?? NaN;
    if (!(value >= measure.lowest && value <= measure.highest)) return setAside(held, 'cannot-be');
    held.behindMs = Math.min(held.behindMs, receivedAt - line.at);
    const at = line.at + held.behindMs;
    if (held.last && at < held.last.at) return setAside(held, 'out-of-order');
    held.last = { at, value };
    held.isLost = false;
    return { kind: 'reading', id: line.id, at, value };
  }

  /** What one of them said of itself. */
  announced(id: string): Announced | undefined {
    return this.held.get(id)?.announced;
  }

  /** All that are known, in the order they came. */
  get instruments(): readonly Instrument[] {
    const names = [...this.held.values()].map(({ announced }) => announced.name.trim().toLowerCase());
    return [...this.held.values()].map(({ announced, last, isLost, behindMs, setAside: aside }, i) => ({
      ...announced,
      isLost,
      sharesName: names.indexOf(names[i] as string) !== names.lastIndexOf(names[i] as string),
      setAside: { ...aside },
      ...(last && { last }),
      ...(Number.isFinite(behindMs) && Math.abs(behindMs) > CLOCK_OFF_MS && { clockBehindMs: behindMs }),
    }));
  }

  private announce(
    { type: _, at, ...announced }: { readonly type: 'announce' } & Announced,
    receivedAt: number,
  ): Taken {
    const known = this.held.get(announced.id);
    const behindMs = at === undefined ? Infinity : receivedAt - at;
    const step = stepInBase(announced);
    if (step === undefined) return { kind: 'set-aside', why: 'wrong-unit' };
    if (!(step > 0)) return { kind: 'set-aside', why: 'wrong-step' };
    if (known && known.announced.kind !== announced.kind) return setAside(known, 'another-kind');
    if (known) {
      // Its clock may have been set since.
      known.announced = announced;
      known.behindMs = behindMs;
      return { kind: 'known' };
    }
    if (this.held.size >= MOST_INSTRUMENTS) return { kind: 'set-aside', why: 'too-many' };
    const fresh = { behindMs, isLost: false, setAside: {}, second: 0, inSecond: 0 };
    this.held.set(announced.id, { announced, ...fresh });
    return { kind: 'known' };
  }
}

function setAside(held: Held, why: SetAside): Taken {
  held.setAside[why] = (held.setAside[why] ?? 0) + 1;
  return { kind: 'set-aside', why };
}
