import { type Draws } from '../../math/draws';

/** A basket that is put on: its load comes in a rush or a trickle, and swings until it hangs still. */
export class SimulatedScale {
  readonly restsAtGrams: number;
  readonly stillFromMs: number;
  private readonly fillMs: number;
  private readonly swingGrams: number;
  private readonly swingMs: number;
  private readonly halvesInMs: number;
  private readonly phase: number;

  constructor(
    private readonly stepGrams: number,
    private readonly draws: Draws,
    grams = stepGrams * (20 + 300 * draws.unit()),
  ) {
    this.restsAtGrams = stepGrams * Math.round(grams / stepGrams);
    this.fillMs = 400 + 12_000 * draws.unit();
    this.swingGrams = this.restsAtGrams * (0.02 + 0.2 * draws.unit());
    this.swingMs = 400 + 1_400 * draws.unit();
    this.halvesInMs = 250 + 900 * draws.unit();
    this.phase = 2 * Math.PI * draws.unit();
    // Still is when the swing is less than half a step of the scale.
    this.stillFromMs = this.fillMs + this.halvesInMs * Math.log2(Math.max(1, this.swingGrams / (0.5 * stepGrams)));
  }

  /** Whether what lies on it is still on its way: being filled, or swinging by more than a step. */
  moves(atMs: number): boolean {
    return atMs < this.fillMs || this.swingGrams * 2 ** (-(atMs - this.fillMs) / this.halvesInMs) > this.stepGrams;
  }

  /** What it tells so many milliseconds after the basket came. */
  read(atMs: number): number {
    const filled = Math.min(1, atMs / this.fillMs);
    const swing = this.swingGrams * 2 ** (-Math.max(0, atMs - this.fillMs) / this.halvesInMs);
    const grams =
      filled * this.restsAtGrams +
      filled * swing * Math.sin(this.phase + (2 * Math.PI * atMs) / this.swingMs) +
      0.4 * this.stepGrams * this.draws.normal();
    return Math.round(grams / this.stepGrams) * this.stepGrams;
  }
}
