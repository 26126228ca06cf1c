/**
 * What pages tell to do that no jar is ever safe by, with the reason; undefined for everything else. Handbook rules 7 and 16
 * (USDA Complete Guide, guide 1: oven, dishwasher and turned jars are no process and sterilise nothing).
 */
export function neverDone(sentence: string): string | undefined {
  if (/\bturn(?:ed|ing)? (?:the |filled )?jars (?:over|upside)|\bupside.?down\b|\binver(?:t|sion)/i.test(sentence)) {
    return 'Turning jars over processes nothing.';
  }
  const where = /\b(oven|microwave|dishwasher)\b/i.exec(sentence)?.[1]?.toLowerCase();
  if (where === undefined) return undefined;
  if (/\bsterili[sz]/i.test(sentence)) {
    return `${where === 'oven' ? 'An' : 'A'} ${where} sterilises no jars: they are boiled 10 minutes, and longer higher up.`;
  }
  if (where === 'dishwasher') return undefined;
  return JARS_INSIDE.test(sentence)
    ? `Jars crack in ${where === 'oven' ? 'an' : 'a'} ${where}, and are not processed there.`
    : undefined;
}

/** "Keep the jars hot in the oven", "seal and place in the oven": not "bake in the oven and fill into jars". */
const JARS_INSIDE =
  /\b(?:jars?|lids?)\b(?! and (?:bake|roast))[^.;]*\b(?:in|into|to) (?:the |an? )?(?:\w+ )?(?:oven|microwave)\b|\bseal\b[^.;]*\b(?:oven|microwave)\b|\boven.?cann/i;
