import { type Draws } from '../../math/draws';
import { boilingPointF } from '../../process/boilingPoint';
import { findBoil } from '../findBoil';
import { HeatCurve } from '../heatCurve';
import { SimulatedPot } from './simulatedPot';
import { SimulatedProbe } from './simulatedProbe';

const READINGS_A_SECOND = 10;
/** A heat-up is looked at so long after its boil, or after it began to stand still. */
const AFTER_BOIL = 120;
const AFTER_PLATEAU = 500;
const LONGEST = 5_400;

/** A kitchen's pot, anywhere from the sea to 9,000 ft, over a burner that brings it to the boil, with what happens on the way. */
export class HeatUp {
  readonly curve = new HeatCurve();
  readonly pot: SimulatedPot;
  second = 0;
  private readonly lift: { readonly fromF: number; readonly seconds: number };
  private liftedAt: number | undefined;
  private jarsFromF: number;

  constructor(
    private readonly draws: Draws,
    readonly boilF = boilingPointF(9_000 * draws.unit()),
    private readonly litres = 6 + 18 * draws.unit(),
  ) {
    const watts = litres * (90 + 130 * draws.unit()) + 400;
    const startF = boilF - 20 - 35 * draws.unit();
    this.pot = new SimulatedPot({ litres, startF, roomF: 60 + 30 * draws.unit(), boilF, watts });
    this.lift = { fromF: boilF - 25 * draws.unit(), seconds: 15 + 75 * draws.unit() };
    this.jarsFromF = draws.unit() < 0.5 ? boilF - 5 - 15 * draws.unit() : Infinity;
  }

  /** A second goes by; the lid is lifted once and cold jars go in where they do. */
  goOn(probe: Pick<SimulatedProbe, 'read'>, readings = READINGS_A_SECOND): void {
    const { pot, draws, lift, second } = this;
    if (this.liftedAt === undefined && pot.waterF > lift.fromF) this.liftedAt = second;
    pot.isLidOn = this.liftedAt === undefined || second >= this.liftedAt + lift.seconds;
    if (pot.waterF > this.jarsFromF) {
      this.jarsFromF = Infinity;
      pot.putIn(this.litres * (0.2 + 0.3 * draws.unit()), 70 + 90 * draws.unit());
    }
    readSecond({ pot, probe, curve: this.curve }, second, readings);
    this.second += 1;
  }
}

export interface Watched {
  readonly pot: SimulatedPot;
  readonly probe: Pick<SimulatedProbe, 'read'>;
  readonly curve: HeatCurve;
}

/** A second of the pot, and what the probe tells of it. */
export function readSecond({ pot, probe, curve }: Watched, second: number, readings = READINGS_A_SECOND): void {
  const before = pot.waterF;
  pot.goOn(1);
  for (let k = 0; k < readings; k++) {
    const told = probe.read(before + ((pot.waterF - before) * k) / readings, second + k / readings);
    if (told !== undefined) curve.take((second + k / readings) * 1_000, told);
  }
}

export interface HeatUpSeen {
  /** It never boils: it stands still 4 F or more under, where the probe that reads 2 F too much makes it look nearest. */
  readonly isPlateau: boolean;
  /** Seconds after which it boiled, and after which it was told to; Infinity for never. */
  readonly boiled: number;
  readonly told: number;
  /** How far under the boil it was when it was told to, F. */
  readonly underF: number;
}

/**
 * One heat-up in ten thousand ways, three of ten of them plateaus, and what `findBoil` says of it.
 *
 * @param isOff the probe is off by up to 2 F from the beginning, and not by a drift of up to 2 F an hour
 */
export function watchHeatUp(draws: Draws, { isOff = false, readings = READINGS_A_SECOND } = {}): HeatUpSeen {
  const isPlateau = draws.unit() < 0.3;
  const belowF = 4 + (draws.unit() < 0.5 ? 0 : 12 * draws.unit());
  const fault = isPlateau ? 2 : 4 * draws.unit() - 2;
  const [offF, driftFPerHour] = isPlateau || isOff ? [fault, 0] : [0, fault];
  const probe = new SimulatedProbe({ noiseF: 1, offF, driftFPerHour, lost: 0.02 }, draws);
  const heatUp = new HeatUp(draws);
  const { pot, curve, boilF } = heatUp;
  let boiled = Infinity;
  let heldFrom = Infinity;
  while (heatUp.second < Math.min(LONGEST, boiled + AFTER_BOIL, heldFrom + AFTER_PLATEAU)) {
    if (isPlateau && pot.waterF >= boilF - belowF && !pot.isHeld) {
      pot.isHeld = true;
      heldFrom = heatUp.second;
    }
    heatUp.goOn(probe, readings);
    if (pot.boils) boiled = Math.min(boiled, heatUp.second);
    if (findBoil(curve, { boilF }).kind === 'boil')
      return { isPlateau, boiled, told: heatUp.second, underF: boilF - pot.waterF };
  }
  return { isPlateau, boiled, told: Infinity, underF: 0 };
}
