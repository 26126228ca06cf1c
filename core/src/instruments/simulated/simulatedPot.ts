/** Heat of a litre of water and of the pot around it, kJ for one degree Celsius. From memory of tables. */
const WATER_KJ = 4.19;
const POT_KJ_PER_LITRE = 0.15;
/** Of what a burner takes so much reaches the water. Common practice. */
const REACHES = 0.75;
/** What goes through the sides of a pot of one litre, W for one degree Celsius; larger ones by their surface. */
const SIDES_W = 0.8;
/** Steam off an open square metre, W for one kPa of its pressure; under a lid so much of it. From memory of tables. */
const STEAM_W = 60;
const UNDER_LID = 0.1;
/** The surface of water as deep as it is wide, square metres for one litre, growing with the two thirds power. */
const SURFACE_M2 = 0.009;
const KELVIN_PER_F = 5 / 9;

export interface SimulatedPotSetup {
  readonly litres: number;
  readonly startF: number;
  readonly roomF: number;
  readonly boilF: number;
  readonly watts: number;
}

/** A pot of water over a burner, warmed by an energy balance in small steps: what probes are tried on. */
export class SimulatedPot {
  waterF: number;
  watts: number;
  isLidOn = true;
  /** Held where it stands, as over a flame that somebody keeps turning by hand. */
  isHeld = false;
  private litres: number;

  constructor(private readonly setup: SimulatedPotSetup) {
    this.waterF = setup.startF;
    this.watts = setup.watts;
    this.litres = setup.litres;
  }

  get boils(): boolean {
    return this.waterF >= this.setup.boilF;
  }

  /** Jars, or water, of another warmth go in; counted as so many litres of water. */
  putIn(litres: number, warmF: number): void {
    this.waterF = (this.waterF * this.litres + warmF * litres) / (this.litres + litres);
    this.litres += litres;
  }

  /** Goes on by so many seconds; a few at a time. What is given beyond the boil leaves as steam. */
  goOn(seconds: number): void {
    if (this.isHeld) return;
    const warmerK = (this.waterF - this.setup.roomF) * KELVIN_PER_F;
    const surface = SURFACE_M2 * this.setup.litres ** (2 / 3);
    const steamW = STEAM_W * surface * vapourKpa(this.waterF) * (this.isLidOn ? UNDER_LID : 1);
    const netW = REACHES * this.watts - SIDES_W * this.setup.litres ** (2 / 3) * warmerK - steamW;
    const kelvin = (netW / 1_000 / (this.litres * (WATER_KJ + POT_KJ_PER_LITRE))) * seconds;
    this.waterF = Math.min(this.setup.boilF, this.waterF + kelvin / KELVIN_PER_F);
  }
}

/** Pressure of steam over water, kPa. Magnus's formula in Alduchov and Eskridge 1996 (from memory); good enough above it too. */
function vapourKpa(waterF: number): number {
  const celsius = (waterF - 32) * KELVIN_PER_F;
  return 0.610_94 * Math.exp((17.625 * celsius) / (celsius + 243.04));
}
