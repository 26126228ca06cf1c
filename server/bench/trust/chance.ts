/** Chance with a seed, for attacks that can be repeated. Method: mulberry32, a 32-bit generator (from memory). */
export class Chance {
  constructor(private state: number) {}

  /** At least 0, below 1. */
  next(): number {
    this.state = (this.state + 0x6d_2b_79_f5) | 0;
    let t = Math.imul(this.state ^ (this.state >>> 15), 1 | this.state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
  }

  below(most: number): number {
    return Math.floor(this.next() * most);
  }

  of<T>(things: readonly T[]): T {
    if (things.length === 0) throw new RangeError('nothing to choose from');
    return things[this.below(things.length)] as T;
  }

  isLucky(share: number): boolean {
    return this.next() < share;
  }

  /** A UUID of version 7 in form. */
  id(): string {
    const hex = (length: number) => Array.from({ length }, () => this.below(16).toString(16)).join('');
    return `0198f3a0-${hex(4)}-7${hex(3)}-8${hex(3)}-${hex(12)}`;
  }
}
