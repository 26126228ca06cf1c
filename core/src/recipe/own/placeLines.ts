import { type OwnLine, type OwnStep } from './recipePage';
import { type ReadLine } from './readCardLine';

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
  const soak = steps.find((step) => SOAKS.test(nameOf(step)));
  const pack = steps.find(({ entry }) => PACKS.includes(entry ?? ''));
  const into = (step: OwnStep | undefined) => ({ ...line, into: (step ?? pack ?? steps[0])?.id ?? '' });
  if (line.then === 'per-jar') return into(pack);
  if (line.then === 'drained') return into(soak ?? firstNaming(line, steps));
  // Salt that a soak is made with goes down the drain with it, and so does its water.
  if (soak && isOfSoak(line, soak, steps)) return { ...into(soak), then: 'drained' };
  const produce = line.role === 'low-acid' || line.role === 'acid-food';
  const named = firstNaming(
    line,
    steps.filter((step) => step !== soak),
  );
  const cook = steps.find((step) => COOKS.test(nameOf(step)) && (!produce || nameOf(step) !== 'boil-brine'));
  if (produce) return into(cook ?? steps.find(({ entry }) => entry === 'raw-pack') ?? pack);
  const pot = steps.find(({ entry }) => entry === 'boil-brine') ?? cook;
  const cooked = named && (COOKS.test(nameOf(named)) || named.entry === undefined) ? named : undefined;
  return into(cooked ?? pot);
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

/** The first step whose sentence names the ingredient. */
function firstNaming({ item }: Pick<OwnLine, 'item'>, steps: readonly OwnStep[]): OwnStep | undefined {
  const word = item
    .toLowerCase()
    .split(' ')
    .filter(
      (part) =>
        part.length > 3 &&
        !/^(?:white|cider|canning|pickling|brown|ground|whole|fresh|bottled|powdered|liquid)$/.test(part),
    )
    .at(-1)
    ?.replace(/(?:ies|es|s)$/, '');
  return word === undefined ? undefined : steps.find(({ text }) => text.toLowerCase().includes(word));
}
