/** Somebody who works in the kitchen, with the hours of the day in minutes after midnight. */
export interface Cook {
  readonly name: string;
  readonly fromMin: number;
  readonly toMin: number;
  readonly breaks: readonly Break[];
}

/** A time when hands are busy elsewhere; at home somebody can still watch a pot. */
export interface Break {
  readonly fromMin: number;
  readonly toMin: number;
  readonly atHome: boolean;
  /** What it is: "Milking". */
  readonly words?: string;
  /** It takes so long, some time between the two; all of it unless said. */
  readonly minutes?: number;
  /** On these days of the week, 0 Sunday; on each unless said. */
  readonly weekdays?: readonly number[];
}

/** A tool that the household names itself, and the step that waits for it. */
export interface OwnTool {
  readonly name: string;
  readonly count: number;
  /** A step of the handbook: "chop". */
  readonly step: string;
}

/** What heat is paid by. */
export const HEAT_UNITS = ['kWh', 'lb', 'kg'] as const;
export type HeatUnit = (typeof HEAT_UNITS)[number];

/** What heat costs: a kilowatt-hour, or a pound or kilogram of bottled gas, in the household's own money. */
export interface HeatPrice {
  readonly of: HeatUnit;
  readonly price: number;
}

/** What a kitchen has for a preserving day, besides its canners. */
export interface KitchenSetup {
  readonly cooks: readonly Cook[];
  readonly burners: number;
  /** How many of them can carry a canner. */
  readonly cannerBurners: number;
  readonly bigPots: number;
  /** What the largest of them holds to its rim, where that is told. */
  readonly bigPotQuarts?: number;
  readonly ovens: number;
  readonly mills: number;
  readonly strainers: number;
  /** Produce that can stand in the refrigerator at once, in pounds. */
  readonly refrigeratorLb: number;
  /** Jars that can cool an inch apart. */
  readonly towelJars: number;
  readonly tools: readonly OwnTool[];
  /** In which the words of a step are told; pounds where nothing is said. */
  readonly units?: 'us' | 'metric';
  readonly heatPrice?: HeatPrice;
  /** Where it stands, an IANA name: "America/Denver". */
  readonly timeZone?: string;
  /** Hands-on minutes against the handbook's, where the household knows: 1.2 is a fifth slower. */
  readonly handsPace?: number;
}

export const DAY_MIN = 24 * 60;

/** One cook all day, and what a household kitchen usually has. Common practice. */
export const USUAL_KITCHEN = {
  cooks: [{ name: 'Cook', fromMin: 0, toMin: DAY_MIN, breaks: [] }],
  burners: 4,
  cannerBurners: 2,
  bigPots: 2,
  ovens: 1,
  mills: 1,
  strainers: 1,
  refrigeratorLb: 40,
  towelJars: 36,
  tools: [],
} as const satisfies KitchenSetup;
