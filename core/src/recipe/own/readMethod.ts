import { neverDone } from './neverDone';
import { type OwnStep } from './recipePage';
import { PROCESSING, readStep, type ReadStep } from './readStep';

/** More steps than any page has. */
const MOST_STEPS = 40;

export interface ReadMethod {
  readonly steps: readonly OwnStep[];
  /** What it says of a canner, as it stands there. */
  readonly processing: readonly string[];
  /** What is no step: kept as text. */
  readonly unread: readonly string[];
}

const KEEPING =
  /\b(?:store|keep|keeps|ready (?:in|after)|refrigerate|let cool|cool (?:to|for|20)|label|enjoy|serve|makes about|yields?)\b/i;

/** Washing and warming jars is in every plan. */
const JARS_READY =
  /^(?:meanwhile,? )?(?:wash|heat|warm|prepare|keep|rinse)\b[^,;]{0,40}\b(?:jars|lids|bands)\b(?!.*\b(?:fill|ladle|pack|pour)\b)/i;
/** A word of care, and no step by itself. */
const TOLD_ALONE =
  /^(?:do not|don['’]t|never|if |be sure|make sure|note\b|tip\b|keep hot\b|flavou?rs? |it is (?:done|ready)|this )/i;

/** Preparing that one sentence may name twice: "wash and slice". */
const WASHED = /^(?:then )?(?:wash|rinse|scrub)\b.*\b(?:and|,)\s/i;

/**
 * Reads the sentences of a method into steps, in their order: "meanwhile" goes on beside the step before, and what follows
 * waits for both.
 */
export function readMethod(paragraphs: readonly string[]): ReadMethod {
  const read: ReadStep[] = [];
  const processing: string[] = [];
  const unread: string[] = [];
  for (const sentence of paragraphs.flatMap(sentencesOf)) {
    if (PROCESSING.test(sentence) || neverDone(sentence) !== undefined) processing.push(sentence);
    else if (JARS_READY.test(sentence)) processing.push(sentence);
    else if (read.length >= MOST_STEPS || TOLD_ALONE.test(sentence) || (KEEPING.test(sentence) && isAfterFilling(read)))
      unread.push(sentence);
    else read.push(...stepsOf(sentence));
  }
  return { steps: linked(withoutDoubles(read)), processing, unread };
}

/** "Boil. Then skim; ladle into jars": one sentence each, without its number. */
function sentencesOf(paragraph: string): string[] {
  return paragraph
    .replace(/^\s*(?:step )?\d{1,2}\s*[.):-]\s*/i, '')
    .replace(/^[\s\-–—*•]+/, '')
    .split(/(?<=[a-z)°][.!;])\s+(?=[A-Z0-9])|;\s+(?:then\s+)?/)
    .map((part) => capitalised(part.trim().replace(/[.;!]+$/, '')))
    .filter((part) => /[a-z]/i.test(part));
}

function capitalised(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

function isAfterFilling(read: readonly ReadStep[]): boolean {
  return read.some(({ entry }) => entry === 'fill' || entry === 'raw-pack' || entry === 'pack-hot');
}

function stepsOf(sentence: string): ReadStep[] {
  const step = readStep(sentence);
  const washed = WASHED.test(sentence) && step.entry !== 'wash' && step.entry !== 'wash-blossom-end';
  if (washed) {
    const rest = sentence.replace(/^.*?\b(?:wash|rinse|scrub)\b[^,]*?(?: and|,)\s+/i, '');
    return [{ text: 'Wash and pick over', entry: 'wash', occupies: [] }, readStep(capitalised(rest))];
  }
  // "Skim, ladle into jars": two things one after the other.
  const fills = step.entry === 'skim' ? /\b(?:ladle|fill|pour|spoon)\b.*\bjars?\b.*/i.exec(sentence)?.[0] : undefined;
  return fills === undefined ? [step] : [{ ...step, text: 'Skim' }, readStep(capitalised(fills))];
}

/** Covering, bubbles, rims, lids are one step of the handbook, however many sentences tell of it. */
function withoutDoubles(read: readonly ReadStep[]): ReadStep[] {
  const last = read.findLastIndex(({ entry }) => entry === 'fill');
  const first = read.find(({ entry }) => entry === 'fill');
  const kept = measuredOnce(read)
    .filter((step) => step.entry !== 'fill' || step === read[last])
    .map((step) => (first && step.entry === 'fill' ? { ...step, text: first.text } : step));
  // Food that was cooked is filled, not packed raw.
  const packed = kept.findIndex(({ entry }) => entry === 'raw-pack');
  const cooked = kept.slice(0, Math.max(0, packed)).some(({ entry = '' }) => COOKS.test(entry));
  if (packed < 0) return kept;
  if (cooked)
    return kept
      .filter(({ entry }) => entry !== 'raw-pack' || last < 0)
      .map((step) => (step.entry === 'raw-pack' ? { ...step, entry: 'fill' } : step));
  return brineFirst(kept);
}

/** "Crush the berries. Measure 5 cups": one step of the handbook, with the words of both. */
function measuredOnce(read: readonly ReadStep[]): ReadStep[] {
  return read.flatMap((step, i) => {
    const [before, after] = [read[i - 1], read[i + 1]];
    if (before?.entry === 'crush-measure' && /^measure\b/i.test(step.text)) return [];
    if (step.entry !== 'crush-measure' || !after || !/^measure\b/i.test(after.text)) return [step];
    return [{ ...step, text: `${step.text}; ${after.text.charAt(0).toLowerCase()}${after.text.slice(1)}` }];
  });
}

const COOKS = /^(?:simmer|boil-(?!brine)|combine-boil|cook|crush-heat|reheat|add-|heat-\d)/;

/** The covering liquid is hot before the jars are packed, wherever the page tells of it. */
function brineFirst(steps: readonly ReadStep[]): ReadStep[] {
  const [packed, brine] = [
    steps.findIndex(({ entry }) => entry === 'raw-pack'),
    steps.findIndex(({ entry }) => entry === 'boil-brine'),
  ];
  const own = steps[brine];
  if (!own || brine < packed) return [...steps];
  const others = steps.filter((step) => step !== own);
  return [...others.slice(0, packed), own, ...others.slice(packed)];
}

/** Each step with an id, and with what it waits for where that is not simply the one before. */
function linked(read: readonly ReadStep[]): OwnStep[] {
  const steps: OwnStep[] = [];
  let joins: string[] | undefined;
  for (const [i, { beside, ...step }] of read.entries()) {
    const id = `s${i + 1}`;
    const before = steps.at(-1);
    if (beside && before) {
      const waitsFor = before.after ?? (steps.length > 1 ? [steps.at(-2)?.id ?? ''] : []);
      steps.push({ ...step, id, after: waitsFor });
      joins = [...(joins ?? [before.id]), id];
    } else {
      steps.push({ ...step, id, ...(joins && { after: joins }) });
      joins = undefined;
    }
  }
  return steps;
}
