import { type CropId } from '../../handbook/crops';
import { type OwnLine, type OwnStep } from './recipePage';
import { HERBS, type ReadLine } from './readCardLine';

/** Steps in which what is salted or soaked stands, and is poured off after. */
const SOAKS = /^(?:salt-ice|salt-soak|soak|lime-soak|ice-water)/;
const COOKS = /^(?:simmer|boil|combine|cook|crush-heat|thicken|full-boil|heat|infuse|marinate|reheat)/;
const PACKS = ['raw-pack', 'pack-hot', 'fill', 'close'];

/** Puts each line into the step it goes into, and tells what is poured off there. */
export function placeLines(lines: readonly ReadLine[], steps: readonly OwnStep[]): OwnLine[] {
  return lines.map((line, i) => place({ ...line, id: `l${i + 1}` }, steps));
}

type Unplaced = ReadLine & { readonly id: string };

function place(line: Unplaced, steps: readonly OwnStep[]): OwnLine {
  const soak = steps.find(isSoak);
  const pack = steps.find(({ entry }) => PACKS.includes(entry ?? ''));
  const into = (step: OwnStep | undefined) => ({ ...line, into: (step ?? pack ?? steps[0])?.id ?? '' });
  if (line.then === 'per-jar') return into(pack);
  if (line.then === 'drained') return into(soak ?? firstNaming(line, steps));
  // Salt that a soak is made with goes down the drain with it, and so does its water.
  if (soak && isOfSoak(line, soak, steps)) return { ...into(soak), then: 'drained' };
  const others = steps.filter((step) => step !== soak);
  const named = firstNaming(
    line,
    others.filter((step) => COOKS.test(nameOf(step)) || STEEPS.test(step.text) || ADDS.test(step.text)),
  );
  if (named && isStrained(line, named, steps)) return { ...into(named), then: 'taken-out' };
  const produce = line.role === 'low-acid' || line.role === 'acid-food';
  const brine = steps.find(({ entry }) => entry === 'boil-brine');
  const cook = others.find((step) => COOKS.test(nameOf(step)) && (!produce || step !== brine));
  if (produce)
    return into(
      (named === brine ? undefined : named) ?? cook ?? steps.find(({ entry }) => entry === 'raw-pack') ?? pack,
    );
  // Without a word of it a spoon of butter goes in where it boils hardest.
  const hardest = LATE.includes(line.role)
    ? steps.find(({ entry = '' }) => /^(?:full-boil|boil-1-hard|boil-to-set)/.test(entry))
    : undefined;
  return into(named ?? brine ?? hardest ?? cook);
}

function isSoak({ entry, text }: OwnStep): boolean {
  return entry === undefined ? /\bsoak/i.test(text) : SOAKS.test(entry);
}

const ADDS = /^(?:add|stir in|put in|pour in)\b/i;
const STEEPS = /\b(?:steep|infuse|macerate)/i;
const LATE: readonly OwnLine['role'][] = ['oil', 'pectin'];

/** Herbs and spices that only give their taste: steeped, and strained off after. */
function isStrained({ role, item, crops }: Unplaced, step: OwnStep, steps: readonly OwnStep[]): boolean {
  const isHerb = role === 'spice' || (role === 'low-acid' && crops.length === 0 && HERBS.test(item));
  if (!isHerb || !STEEPS.test(step.text)) return false;
  const after = steps.slice(steps.indexOf(step) + 1);
  return after.some(
    ({ entry = '', text }) => /^(?:strain|drip)/.test(entry) || /\bstrain|\bsieve|take out|remove/i.test(text),
  );
}

function nameOf({ entry, text }: OwnStep): string {
  return entry ?? (/\b(?:boil|simmer|cook|heat|bake|roast)\b/i.test(text) ? 'cook' : '');
}

function isOfSoak({ role, item }: Unplaced, soak: OwnStep, steps: readonly OwnStep[]): boolean {
  if (role !== 'salt' && role !== 'water') return false;
  const word = role === 'salt' ? /\bsalt/i : /\bwater/i;
  const others = steps.filter((step) => step !== soak && word.test(step.text) && COOKS.test(nameOf(step)));
  return word.test(soak.text)
    ? others.length === 0
    : role === 'salt' && /salt/.test(soak.entry ?? '') && others.length === 0 && item !== '';
}

/** Words that name no ingredient by themselves. */
const PLAIN =
  /^(?:white|cider|canning|pickling|brown|ground|whole|fresh|bottled|powdered|liquid|leaves|leaf|root|juice|packed|small|large|dried|black|green|sweet|sour)$/;

/** The first step whose sentence names the ingredient: by its last word first, then by any other. */
function firstNaming({ item }: Pick<OwnLine, 'item'>, steps: readonly OwnStep[]): OwnStep | undefined {
  for (const word of wordsOf(item)) {
    const step = steps.find(({ text }) => text.toLowerCase().includes(word));
    if (step) return step;
  }
  return undefined;
}

/** The words a sentence may call an ingredient by, the last first, none with an ending. */
function wordsOf(item: string): string[] {
  return item
    .toLowerCase()
    .split(/[^a-z]+/)
    .filter((part) => part.length > 2 && !PLAIN.test(part))
    .map((part) => part.replace(/(?<=...)(?:ies|es|s)$/, ''))
    .reverse();
}

/** The crops that a sentence names, where it names some of a page's and not others: "peel the peaches" leaves the berries be. */
export function cropsNamed(text: string, lines: readonly OwnLine[]): readonly CropId[] | undefined {
  if (/\b(?:all|everything|rest|others|vegetables|fruit|them)\b/i.test(text)) return undefined;
  const produce = lines.filter(({ crops }) => crops.length > 0);
  const named = produce.filter(({ item }) => {
    const [word] = wordsOf(item);
    return word !== undefined && text.toLowerCase().includes(word);
  });
  if (named.length === 0 || named.length === produce.length) return undefined;
  return [...new Set(named.flatMap(({ crops }) => crops))];
}
