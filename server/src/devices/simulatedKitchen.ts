import { type Announced } from '@hoddle/core/instruments/instrument';
import { SimulatedPot } from '@hoddle/core/instruments/simulated/simulatedPot';
import { type ProbeFaults, SimulatedProbe } from '@hoddle/core/instruments/simulated/simulatedProbe';
import { SimulatedScale } from '@hoddle/core/instruments/simulated/simulatedScale';
import { type Draws, drawsFrom } from '@hoddle/core/math/draws';
import { boilingPointF } from '@hoddle/core/process/boilingPoint';

export interface KitchenFaults {
  readonly seed: number;
  readonly altitudeFt: number;
  /** Spread of single readings of a probe, F. */
  readonly noiseF: number;
  /** What probes read more after an hour, F. */
  readonly driftFPerHour: number;
  /** Share of readings that get lost. */
  readonly lost: number;
  /** The two canner probes hang in each other's pot. */
  readonly swapped: boolean;
}

export const USUAL_FAULTS: KitchenFaults = {
  ...{ seed: 24, altitudeFt: 3_420, noiseF: 0.4, driftFPerHour: 0, lost: 0, swapped: false },
};

export const PROBES = ['canner-probe-1', 'canner-probe-2'] as const;
export const FRIDGE = 'refrigerator-probe';
export const SCALE = 'kitchen-scale';
export const HANGING = 'hanging-scale';
export const GAUGE = 'pressure-gauge';
export const DOOR = 'door-counter';

/** What stands in the simulated kitchen, as it announces itself. */
export const INSTRUMENTS: readonly Announced[] = [
  { id: SCALE, name: 'Kitchen scale', kind: 'kitchen-scale', unit: 'g', step: 1, battery: 91 },
  { id: HANGING, name: 'Scale at the door', kind: 'hanging-scale', unit: 'lb', step: 0.05, battery: 64 },
  { id: PROBES[0], name: 'Probe, blue cable', kind: 'probe', unit: 'F', step: 0.1, battery: 80 },
  { id: PROBES[1], name: 'Probe, red cable', kind: 'probe', unit: 'C', step: 0.1, battery: 77 },
  { id: FRIDGE, name: 'Refrigerator probe', kind: 'probe', unit: 'C', step: 0.1, battery: 55 },
  { id: GAUGE, name: 'Gauge on the lid', kind: 'pressure-gauge', unit: 'psi', step: 0.1 },
  { id: DOOR, name: 'Counter at the shelf', kind: 'jar-counter', unit: 'jars', step: 1 },
];

const ROOM_F = 74;
const LITRES = 14;
const FULL_WATTS = 3_400;
const STEAM_OFF_PSI_A_SECOND = 0.02;

/** A kitchen that is not there: two pots over burners, a scale with a basket, a refrigerator, a gauge. In steps of a tenth of a second. */
export class SimulatedKitchen {
  readonly pots: readonly [SimulatedPot, SimulatedPot];
  private readonly probes: readonly SimulatedProbe[];
  private readonly draws: Draws;
  private fridgeF = 38;
  private fridgeTo = 38;
  private psi = 0;
  private psiTo = 0;
  private jars = 0;
  private ms = 0;
  private onScale: { id: string; scale: SimulatedScale; from: number } | undefined;
  private readonly silent = new Set<string>();

  constructor(private readonly faults: KitchenFaults = USUAL_FAULTS) {
    const { seed, noiseF, driftFPerHour, lost } = faults;
    this.draws = drawsFrom(seed);
    const pot = () =>
      new SimulatedPot({
        ...{ litres: LITRES, startF: 120, roomF: ROOM_F, boilF: boilingPointF(faults.altitudeFt), watts: FULL_WATTS },
      });
    this.pots = [pot(), pot()];
    const common: ProbeFaults = { noiseF, offF: 0, driftFPerHour, lost };
    this.probes = INSTRUMENTS.map(() => new SimulatedProbe(common, this.draws));
  }

  goOn(ms: number): void {
    this.ms += ms;
    for (const pot of this.pots) pot.goOn(ms / 1_000);
    this.fridgeF += ((this.fridgeTo - this.fridgeF) * ms) / 60_000;
    const step = (STEAM_OFF_PSI_A_SECOND * ms) / 100;
    this.psi += Math.max(-step, Math.min(step, this.psiTo - this.psi));
  }

  /** What is told at this moment, in the units that were announced. Probes that lost a reading are not in it. */
  readings(): { id: string; value: number }[] {
    return INSTRUMENTS.flatMap(({ id, unit, step }, i) => {
      if (this.silent.has(id)) return [];
      const value = this.valueOf(id, i);
      if (value === undefined) return [];
      const told = unit === 'C' ? (value - 32) / 1.8 : unit === 'lb' ? value / 453.592_37 : value;
      return [{ id, value: Math.round(Math.round(told / step) * step * 1_000) / 1_000 }];
    });
  }

  /** The flame under a pot, as a part of its full strength. */
  flame(pot: 0 | 1, part: number): void {
    this.pots[pot].watts = FULL_WATTS * part;
  }

  lid(pot: 0 | 1, isOn: boolean): void {
    this.pots[pot].isLidOn = isOn;
  }

  /** Cold jars go into a pot. */
  putIn(pot: 0 | 1, litres: number, warmF: number): void {
    this.pots[pot].putIn(litres, warmF);
  }

  /** Puts something on a scale; 0 takes it off. */
  weigh(id: typeof SCALE | typeof HANGING, grams: number): void {
    const stepGrams = id === SCALE ? 1 : 0.05 * 453.592_37;
    this.onScale = { id, scale: new SimulatedScale(stepGrams, this.draws, grams), from: this.ms };
  }

  refrigerator(warmF: number): void {
    this.fridgeTo = warmF;
  }

  pressure(psi: number): void {
    this.psiTo = psi;
  }

  door(jars: number): void {
    this.jars += jars;
  }

  stick(id: string): void {
    const i = INSTRUMENTS.findIndex((each) => each.id === id);
    this.probes[i]?.stick();
  }

  /** One is out of reach, or back. */
  reach(id: string, isThere: boolean): void {
    if (isThere) this.silent.delete(id);
    else this.silent.add(id);
  }

  private valueOf(id: string, i: number): number | undefined {
    const at = this.ms / 1_000;
    const [first, second] = this.faults.swapped ? [this.pots[1], this.pots[0]] : this.pots;
    const probe = this.probes[i] as SimulatedProbe;
    switch (id) {
      case PROBES[0]:
        return probe.read(first.waterF, at);
      case PROBES[1]:
        return probe.read(second.waterF, at);
      case FRIDGE:
        return probe.read(this.fridgeF, at);
      case GAUGE:
        return this.psi + 0.1 * this.draws.normal();
      case DOOR:
        return this.jars;
      default:
        return this.onScale?.id === id ? this.onScale.scale.read(this.ms - this.onScale.from) : 0;
    }
  }
}
