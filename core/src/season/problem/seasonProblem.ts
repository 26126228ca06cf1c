import { type JarSize } from '../../handbook/jars';
import { type ProduceId } from '../../handbook/produce';
import { type ProductId } from '../../handbook/products';
import { type Priority } from '../../pantry/shelfGoal';
import { type Cold, type Method } from '../../process/method';

/** A day on which hands are given to preserving. */
export interface SeasonDay {
  /** "2026-08-22". */
  readonly id: string;
  /** When its hands begin, epoch milliseconds. */
  readonly at: number;
  /** From then until the hands stop, in minutes. */
  readonly windowMinutes: number;
  /** Hands of all cooks together. */
  readonly handsMinutes: number;
  /** Days of one number share the household's "at most so many a week". */
  readonly week: number;
  /** So little comes in its week that what was frozen may be taken up on it. */
  readonly quiet: boolean;
}

/** Produce that is there or is expected: one crop, one grade, one time. */
export interface Arrival {
  readonly id: string;
  readonly crop: ProduceId;
  /** Soft is sound all the same, but only for what is cooked to pieces. */
  readonly soft: boolean;
  readonly massKg: number;
  /** From when it can be used; until when it keeps where it stands, and in the refrigerator. Epoch milliseconds. */
  readonly readyAt: number;
  readonly until: number;
  readonly coldUntil: number;
  /** Bags a kilogram takes in the freezer; undefined where freezing spoils it. */
  readonly bagsPerKg?: number;
  /** Was frozen already: taken from the freezer and not frozen again. */
  readonly frozen: boolean;
}

export interface CropShare {
  readonly crop: ProduceId;
  /** As picked. */
  readonly kgPerJar: number;
}

/** What a batch leaves over that another recipe begins with: peels and cores in kilograms, thin juice in quarts. */
export interface ByProductShare {
  readonly kind: 'thin juice' | 'peels and cores';
  readonly perJar: number;
}

/** One way to fill one size of jar with one product. */
export interface SeasonRecipe {
  readonly id: string;
  readonly product: ProductId;
  readonly jar: JarSize;
  readonly crops: readonly CropShare[];
  /** Taken from the same day's by-product instead of from produce. */
  readonly takes?: ByProductShare;
  readonly gives?: ByProductShare;
  readonly softToo: boolean;
  readonly frozenToo: boolean;
  /** Canners that can take it, each with the method it is tested for there; none for what is kept cold. */
  readonly vessels: readonly { readonly canner: string; readonly method: Method }[];
  /** Where it is put that goes into no canner. */
  readonly into?: Cold;
  /** Jars that any of its canners holds; of what is kept cold those of one batch. */
  readonly perLoad: number;
  /** A box of pectin sets one pot: it is made whole, and is a load of its own. */
  readonly wholePots: boolean;
  readonly mostLoadsADay: number;
  /** Minutes of hands: for beginning the product at all, for each load, for each jar. */
  readonly hands: { readonly begin: number; readonly load: number; readonly jar: number };
  /** Minutes a load keeps its canner. */
  readonly cannerMinutes: number;
  /** Minutes a load keeps a burner, its canner's not counted. */
  readonly burnerMinutes: number;
  /** Jars and lids it takes one of each time, by {@link SeasonStock.key}. */
  readonly stock: readonly string[];
  /** One load alone takes so long, from the first hand to the last jar. */
  readonly leastMinutes: number;
  /** And each further load so much more, where nothing else is made. */
  readonly nextMinutes: number;
  /** It stands overnight before its jars are filled. */
  readonly overnight: boolean;
}

export interface SeasonGoal {
  readonly product: ProductId;
  readonly jar: JarSize;
  readonly priority: Priority;
  readonly want: number;
  /** On the shelf when the new season begins, and made since. */
  readonly have: number;
}

/** Something that is used up: jars of a size, lids of a mouth. */
export interface SeasonStock {
  readonly key: string;
  readonly have: number;
  /** Whether more can be bought. */
  readonly toBeHad: boolean;
}

/** What stays as it is, whatever else is planned. */
export interface SeasonPin {
  readonly day: string;
  readonly recipe: string;
  readonly jars: number;
}

/** Loads that core/day found no plan for on a day as long as this: no day as short may hold them all. */
export interface SeasonCut {
  readonly windowMinutes: number;
  readonly loads: readonly { readonly recipe: string; readonly loads: number }[];
  /** What stood overnight the day before, with all of that day, where it is only together that they cannot be done. */
  readonly before?: Pick<SeasonCut, 'windowMinutes' | 'loads'>;
}

/** All that a season is planned from, in plain numbers. */
export interface SeasonProblem {
  /** In the order of time. */
  readonly days: readonly SeasonDay[];
  readonly arrivals: readonly Arrival[];
  readonly recipes: readonly SeasonRecipe[];
  readonly goals: readonly SeasonGoal[];
  readonly stock: readonly SeasonStock[];
  /** Burners, and how many of them carry a canner. */
  readonly burners: number;
  readonly cannerBurners: number;
  /** Minutes until a canner's water is hot for its first load of a day. */
  readonly firstHeatMinutes: number;
  /** Room that is left. */
  readonly freezerBags: number;
  readonly refrigeratorKg: number;
  readonly mostDaysAWeek: number;
  readonly pins: readonly SeasonPin[];
  /** What the plan before had, where keeping to it is worth a little. */
  readonly before: readonly { readonly day: string; readonly recipe: string }[];
  readonly cuts: readonly SeasonCut[];
}

export function goalKey({ product, jar }: { readonly product: string; readonly jar: string }): string {
  return `${product} ${jar}`;
}
