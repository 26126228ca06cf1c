import { type LoadCurve, POINT_SECONDS } from './loadCurve';

/** A load is not watched for longer: what is still in the pot then was forgotten there. */
const MOST_POINTS = (8 * 3_600) / POINT_SECONDS;

/** Takes readings of one load, and thins them as they come. */
export class CurveRecord {
  private points: (readonly [number, number])[];
  private sum = 0;
  private count = 0;
  private slot = -1;

  constructor(private readonly head: LoadCurve) {
    this.points = [...head.points];
  }

  /** Whose readings these are: those of another one in the same water are no part of it. */
  get instrument(): string {
    return this.head.instrument;
  }

  /** @param at household's time, epoch milliseconds */
  take(at: number, value: number): void {
    const slot = Math.floor((at - this.head.startAt) / 1_000 / POINT_SECONDS);
    if (slot < this.slot || slot < 0 || slot >= MOST_POINTS) return;
    if (slot !== this.slot) {
      this.close();
      this.slot = slot;
    }
    this.sum += value;
    this.count += 1;
  }

  get curve(): LoadCurve {
    const open = this.open;
    return { ...this.head, points: open ? [...this.points, open] : this.points };
  }

  private get open(): readonly [number, number] | undefined {
    if (this.count === 0) return undefined;
    return [this.slot * POINT_SECONDS, Math.round((10 * this.sum) / this.count)];
  }

  private close(): void {
    const open = this.open;
    if (open && open[0] > (this.points.at(-1)?.[0] ?? -1)) this.points.push(open);
    [this.sum, this.count] = [0, 0];
  }
}
