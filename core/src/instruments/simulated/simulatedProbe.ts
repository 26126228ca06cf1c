import { type Draws } from '../../math/draws';

export interface ProbeFaults {
  /** Spread of single readings, F. */
  readonly noiseF: number;
  /** What it reads too much at the start, and how that grows in an hour, F. */
  readonly offF: number;
  readonly driftFPerHour: number;
  /** The smallest step it tells, F. */
  readonly stepF?: number;
  /** Share of readings that get lost. */
  readonly lost?: number;
}

/** What a probe with these faults tells of a warmth; nothing where the reading is lost. */
export class SimulatedProbe {
  private lastF: number | undefined;
  private isStuck = false;

  constructor(
    private readonly faults: ProbeFaults,
    private readonly draws: Draws,
  ) {}

  /** From now on it tells what it told last. */
  stick(): void {
    this.isStuck = true;
  }

  /** @param second seconds since it was switched on */
  read(trueF: number, second: number): number | undefined {
    const { noiseF, offF, driftFPerHour, stepF = 0.1, lost = 0 } = this.faults;
    if (lost > 0 && this.draws.unit() < lost) return undefined;
    if (this.isStuck) return this.lastF;
    const told = trueF + offF + (driftFPerHour * second) / 3_600 + noiseF * this.draws.normal();
    this.lastF = Math.round(told / stepF) * stepF;
    return this.lastF;
  }
}
