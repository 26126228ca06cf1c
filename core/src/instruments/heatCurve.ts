/** What of a stretch of the curve is a straight line, fitted to single readings. */
export interface Line {
  /** Mean of the stretch, F, and its standard error. */
  readonly meanF: number;
  readonly meanError: number;
  /** F a minute, and its standard error. */
  readonly slope: number;
  readonly slopeError: number;
  /** The moment of the mean, epoch seconds. */
  readonly middle: number;
  /** How far single readings lie from the line, F. */
  readonly noise: number;
}

/** Sums over all readings up to the end of a second, time and warmth counted from the first reading. */
interface Sums {
  seconds: number;
  n: number;
  t: number;
  f: number;
  tt: number;
  tf: number;
  ff: number;
}

const NOTHING: Readonly<Sums> = { seconds: 0, n: 0, t: 0, f: 0, tt: 0, tf: 0, ff: 0 };

/** So much of the past is looked at; older seconds are let go when as many more have come. */
const KEPT_SECONDS = 900;
/** A line needs this part of its seconds, and so many of them and of readings. */
const PART_READ = 0.75;
const FEWEST = 5;

/**
 * The last minutes of a temperature probe. Straight lines through any stretch of it are least squares (Draper and Smith,
 * Applied Regression Analysis, chapter 1), read off running sums, so that a stretch of minutes costs what one of seconds does.
 * A reading of a second before the newest is let go by: what a probe tells late is of no use for a decision of now.
 */
export class HeatCurve {
  private first = 0;
  private firstF = 0;
  /** By seconds from the first; a second without readings has the sums of the one before it. */
  private sums: Sums[] = [];

  /** @param at epoch milliseconds */
  take(at: number, valueF: number): void {
    const second = Math.floor(at / 1_000);
    if (this.sums.length === 0) [this.first, this.firstF] = [second, valueF];
    const i = second - this.first;
    if (i < this.sums.length - 1) return;
    if (i > this.sums.length - 1 + KEPT_SECONDS) {
      // After a silence that long nothing of before is of use.
      this.sums = [];
      this.take(at, valueF);
      return;
    }
    const before = this.sums.at(-1) ?? NOTHING;
    while (this.sums.length < i) this.sums.push(before);
    if (this.sums.length === i) this.sums.push({ ...before, seconds: before.seconds + 1 });
    const sums = this.sums[i] as Sums;
    const t = i + 0.5;
    const f = valueF - this.firstF;
    sums.n += 1;
    sums.t += t;
    sums.f += f;
    sums.tt += t * t;
    sums.tf += t * f;
    sums.ff += f * f;
    if (this.sums.length > 2 * KEPT_SECONDS) this.letGo(this.sums.length - KEPT_SECONDS);
  }

  /** The second of the newest reading, epoch seconds; nothing before the first. */
  get newest(): number | undefined {
    return this.sums.length === 0 ? undefined : this.first + this.sums.length - 1;
  }

  /**
   * The line through the seconds from `from` to before `to`, epoch seconds.
   *
   * @returns nothing where a quarter of the stretch or more was not read, or too little at all
   */
  line(from: number, to: number): Line | undefined {
    const a = this.upTo(from);
    const b = this.upTo(to);
    const seconds = b.seconds - a.seconds;
    const n = b.n - a.n;
    if (seconds < Math.max(FEWEST, PART_READ * (to - from)) || n < FEWEST) return undefined;
    const meanT = (b.t - a.t) / n;
    const meanF = (b.f - a.f) / n;
    const tt = b.tt - a.tt - n * meanT * meanT;
    const tf = b.tf - a.tf - n * meanT * meanF;
    const ff = b.ff - a.ff - n * meanF * meanF;
    const perSecond = tf / tt;
    const noise = Math.sqrt(Math.max(0, ff - perSecond * tf) / (n - 2));
    return {
      meanF: this.firstF + meanF,
      meanError: noise / Math.sqrt(n),
      slope: 60 * perSecond,
      slopeError: (60 * noise) / Math.sqrt(tt),
      middle: this.first + meanT,
      noise,
    };
  }

  private upTo(second: number): Readonly<Sums> {
    const i = Math.min(second - this.first, this.sums.length) - 1;
    return this.sums[i] ?? NOTHING;
  }

  /** Counts anew from a later second, so that sums stay small beside their differences. */
  private letGo(seconds: number): void {
    const { n, t, f, tt, tf, ff, seconds: read } = this.sums[seconds - 1] ?? NOTHING;
    this.first += seconds;
    this.sums = this.sums.slice(seconds).map((each) => {
      const m = each.n - n;
      return {
        seconds: each.seconds - read,
        n: m,
        t: each.t - t - m * seconds,
        f: each.f - f,
        tt: each.tt - tt - 2 * seconds * (each.t - t) + m * seconds * seconds,
        tf: each.tf - tf - seconds * (each.f - f),
        ff: each.ff - ff,
      };
    });
  }
}
