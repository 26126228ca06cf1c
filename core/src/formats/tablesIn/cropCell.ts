import { cropsNamed } from '../../handbook/cropsNamed';
import { findProduce, PRODUCE, type ProduceId } from '../../handbook/produce';
import { plainWords } from './readCells';

/** The crop that a cell names: by its name or id whatever the case and number, or by words that only one has. */
export function cropCalled(words: string): { readonly crop?: ProduceId; readonly meant?: ProduceId } {
  if (words.trim() === '') return {};
  const asked = plainWords(words);
  const exact = PRODUCE.find(({ crop, name }) => [crop, name].some((each) => plainWords(each) === asked));
  if (exact) return { crop: exact.crop };
  const found = cropsNamed(words);
  if (found.length === 1 && found[0]) return { crop: found[0] };
  const meant = found[0] ?? nearest(asked);
  return { ...(meant && { meant }) };
}

/** Letters that two words begin with alike, so that one may be the other spelled wrong. */
const ALIKE = 4;

/** The crop with a word that begins most like one of these, where any does. */
function nearest(asked: string): ProduceId | undefined {
  const words = asked.split(' ').filter((word) => word.length >= ALIKE);
  const likeness = (name: string) =>
    Math.max(
      0,
      ...plainWords(name)
        .split(' ')
        .flatMap((own) => words.map((word) => commonStart(own, word))),
    );
  const best = [...PRODUCE].sort((a, b) => likeness(b.name) - likeness(a.name) || a.name.length - b.name.length)[0];
  return best && likeness(best.name) >= ALIKE ? best.crop : undefined;
}

function commonStart(a: string, b: string): number {
  let at = 0;
  while (at < a.length && a[at] === b[at]) at += 1;
  return at;
}

/** What is said of a cell that names none. */
export function cropSays(words: string): string {
  return words === '' ? 'is missing' : 'is not one crop: name its kind, as “Paste tomatoes”';
}

/** A crop by what a household named itself, else by the cell. */
export function cropOf(words: string, named: Readonly<Record<string, string>> = {}): ReturnType<typeof cropCalled> {
  const own = named[words];
  const known = own === undefined ? undefined : findProduce(own);
  return known ? { crop: known.crop } : cropCalled(words);
}
