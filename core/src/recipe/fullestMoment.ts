import { type Card } from '../handbook/cards/card';
import { productRow } from '../handbook/products';
import { stepOf } from '../handbook/steps';
import { isProduce } from './cardCrops';
import { isIntoJars } from './intoJars';
import { type AmountLine } from './recipeFor';

/** What a pot must hold at one step of a card, in ml: what is in it by then, and the room in which it climbs. */
export interface PotLevel {
  readonly step: string;
  readonly ml: number;
  /** It stands so high because it boils up. */
  readonly climbs?: true;
}

/** Water's own density, near enough for sound fruit and vegetables in a pot that is fed as it sinks. */
const ML_PER_KG = 1_000;

/** Jam climbs to three times its height in a rolling boil. Common practice. */
const CLIMBS = 3;
const ROLLS = ['full-boil', 'boil-1-hard', 'boil-to-set'];

/** Boiled or steamed whole, and taken out again to be skinned. */
const PEELS = ['boil-30-peel', 'steam-20-peel'];

/** What is left of it once it is cooked down. Handbook steps. */
const LEFT: Readonly<Record<string, number>> = { 'cook-down-third': 2 / 3, 'cook-down-half': 1 / 2 };

/**
 * The height of what stands over the fire, step by step: each line is in from the step it goes into, what cooks down leaves room for
 * what comes after. What is boiled to be peeled stands in it for that step, and goes in later. What is poured off, goes in jar by jar or
 * covers the jars is in no pot.
 *
 * @param of how much of a line: in each pot unless said
 */
export function potLevels(
  { product, steps }: Pick<Card, 'product' | 'steps'>,
  lines: readonly AmountLine[],
  of: (line: AmountLine) => AmountLine['all'] | undefined = ({ each }) => each,
): PotLevel[] {
  const isSpread = productRow(product).productClass === 'spread';
  const levels: PotLevel[] = [];
  const inPot = lines.filter(
    ({ line, each }) => each && line.role !== 'ice' && line.then !== 'drained' && !line.inside,
  );
  let ml = 0;
  const mlOfAll = (those: readonly AmountLine[]) => those.reduce((sum, line) => sum + mlOf(of(line)), 0);
  const later = new Set(inPot);
  for (const { step, of: crops } of steps) {
    if (isIntoJars(step)) break;
    const { row } = stepOf(step);
    const now = inPot.filter(({ line }) => line.into === step);
    for (const line of now) later.delete(line);
    ml += mlOfAll(now);
    const isPeeled = PEELS.includes(row.step);
    const beside = isPeeled ? [...later].filter(({ line }) => isProduce(line) && isOneOf(line.crops, crops)) : [];
    const isFired = row.resources.some((resource) => resource === 'burner' || resource === 'big pot');
    const climbs = isSpread && ROLLS.some((name) => step.startsWith(name));
    const inIt = (ml + mlOfAll(beside)) * (climbs ? CLIMBS : 1);
    if (isFired && inIt > 0) levels.push({ step, ml: inIt, ...(climbs && { climbs }) });
    ml *= LEFT[row.step] ?? 1;
  }
  return levels;
}

/** The moment at which a pot must hold the most; undefined where nothing is cooked. */
export function fullestMoment(levels: readonly PotLevel[]): PotLevel | undefined {
  return levels.reduce<PotLevel | undefined>((most, own) => (most && most.ml >= own.ml ? most : own), undefined);
}

function isOneOf(crops: readonly string[], asked: readonly string[] | undefined): boolean {
  return !asked || crops.some((crop) => asked.includes(crop));
}

function mlOf(measure: AmountLine['all'] | undefined): number {
  if (!measure || measure.of === 'words') return 0;
  return measure.of === 'ml' ? measure.value : measure.of === 'kg' ? measure.value * ML_PER_KG : 0;
}
