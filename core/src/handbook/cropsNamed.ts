import { PRODUCE, type ProduceId } from './produce';

/**
 * The crops that words name, in the order of the table: each word is a part of one of theirs, in any number. All of them
 * while nothing is typed.
 */
export function cropsNamed(typed: string): ProduceId[] {
  const asked = wordsOf(typed);
  return PRODUCE.filter(({ crop, name }) => {
    const own = [...wordsOf(name), ...wordsOf(crop)];
    return asked.every((word) => own.some((each) => each.includes(word)));
  }).map(({ crop }) => crop);
}

/** Without case, accents and the s of several: "Sour cherries" is "sour", "cherr". */
function wordsOf(text: string): string[] {
  return text
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .split(/[^a-z]+/)
    .filter((word) => word !== '')
    .map((word) => word.replace(/(?<=\w{3})(?:ies|oes|es|y|s)$/, ''));
}
