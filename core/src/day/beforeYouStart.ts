import { JARS, type JarSize } from '../handbook/jars';
import { sterilizeJars } from '../process/sterilizeJars';
import { type Batch, isCanned, jarCounts, jarsOf, ofLoad } from './batch';
import { stepsOfBatch } from './daySequence';

/** Spare jars and lids, since one in twenty or so is chipped or does not seal. Common practice. */
const SPARE_PART = 0.1;

export interface ReadyJars {
  readonly jar: JarSize;
  readonly jars: number;
  readonly spare: number;
  /** So many of them are boiled so long before they are filled, where the tested time is under 10 minutes. Handbook rule 4. */
  readonly sterile?: { readonly jars: number; readonly minutes: number };
}

/** What must lie ready before a preserving day begins. */
export interface BeforeYouStart {
  readonly jars: readonly ReadyJars[];
  /** New lids by mouth: spares with them. */
  readonly lids: readonly { readonly mouth: 'regular' | 'wide'; readonly lids: number }[];
  /** Pots, mills, strainers: what the steps name. */
  readonly tools: readonly string[];
}

/** What no list needs: hands, the stove, what stands in the kitchen anyway. */
const NO_TOOLS = ['', 'hands', 'burner', 'refrigerator', 'canner'];

const FOR_THE_CANNER = ['jar lifter'];

const ALWAYS = ['funnel', 'bubble freer and headspace gauge', 'clean cloths', 'kettle for topping up', 'timer'];

const TOOL_WORDS: Readonly<Record<string, string>> = {
  'big pot': 'big pot',
  mill: 'food mill or strainer',
  strainer: 'damp bag or strainer',
  oven: 'oven',
  ice: 'ice',
};

/** The list before a day, from its batches: common practice. */
export function beforeYouStart(batches: readonly Batch[]): BeforeYouStart {
  const counts = new Map<JarSize, number>();
  for (const batch of batches) {
    for (const { jar, count } of jarCounts(batch)) counts.set(jar, (counts.get(jar) ?? 0) + count);
  }
  const jars = [...counts].map(([jar, count]) => ({
    jar,
    jars: count,
    spare: Math.max(1, Math.ceil(count * SPARE_PART)),
    ...sterileOf(batches.flatMap((batch) => inOneSize(batch, jar))),
  }));
  const lids = new Map<'regular' | 'wide', number>();
  for (const { jar, jars: count, spare } of jars) {
    const { lids: mouth } = JARS[jar];
    lids.set(mouth, (lids.get(mouth) ?? 0) + count + spare);
  }
  const resources = batches.flatMap((batch) => stepsOfBatch(batch).flatMap(({ step }) => step.row.resources));
  // A tool that a recipe of the household's own names stands there by its name.
  const named = resources.flatMap((resource) => TOOL_WORDS[resource] ?? (NO_TOOLS.includes(resource) ? [] : resource));
  // Jars are boiled in a pot of their own.
  if (jars.some(({ sterile }) => sterile)) named.push('big pot');
  const always = batches.some(isCanned) ? [...FOR_THE_CANNER, ...ALWAYS] : ALWAYS;
  return {
    jars,
    lids: [...lids].map(([mouth, count]) => ({ mouth, lids: count })),
    tools: [...new Set([...named, ...always])],
  };
}

/** The loads of a batch whose jars are of one size, as a batch of their own. */
function inOneSize(batch: Batch, jar: JarSize): Batch[] {
  const loads = batch.loads.filter((load) => ofLoad(batch, load).jar === jar);
  const [first] = loads;
  return first ? [{ ...ofLoad(batch, first), loads }] : [];
}

function sterileOf(batches: readonly Batch[]): Pick<ReadyJars, 'sterile'> {
  const asked = batches.flatMap((batch) => {
    const sterile = isCanned(batch) ? sterilizeJars(batch.processMinutes, batch.altitudeFt) : undefined;
    return sterile ? [{ jars: jarsOf(batch), minutes: sterile.minutes }] : [];
  });
  if (asked.length === 0) return {};
  const jars = asked.reduce((sum, each) => sum + each.jars, 0);
  return { sterile: { jars, minutes: Math.max(...asked.map(({ minutes }) => minutes)) } };
}
