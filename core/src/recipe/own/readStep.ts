import { isStep, stepOf } from '../../handbook/steps';
import { type Minutes, type OwnStep } from './recipePage';

/** What was understood of one sentence of a method, before it has its place among the others. */
export type ReadStep = Omit<OwnStep, 'id' | 'after'> & {
  /** It goes on beside the step before it. */
  readonly beside?: true;
};

const MIN_PER: Readonly<Record<string, number>> = { min: 1, h: 60, day: 1_440, week: 10_080 };

const NUMBER_WORDS: Readonly<Record<string, string>> = {
  one: '1',
  two: '2',
  three: '3',
  four: '4',
  five: '5',
  six: '6',
  eight: '8',
  ten: '10',
  twelve: '12',
  fifteen: '15',
  twenty: '20',
  thirty: '30',
};

/** The time a sentence gives: "3 hours", "10-15 min", "overnight", "half an hour", "2 days"; the first one counts. */
export function timeIn(sentence: string): Minutes | undefined {
  const said = sentence
    .toLowerCase()
    .replace(/half an hour/g, '30 min')
    .replace(/an hour and a half/g, '90 min')
    .replace(/\b(\d+) ?1\/2 h/g, (_, whole: string) => `${whole}.5 h`)
    .replace(/\ban? (hour|day|week|minute)/g, '1 $1')
    .replace(
      /\b(one|two|three|four|five|six|eight|ten|twelve|fifteen|twenty|thirty)\b/g,
      (word) => NUMBER_WORDS[word] ?? word,
    );
  const mixed =
    /(\d+(?:\.\d+)?)\s*(minutes?|mins?|hours?|hrs?|days?)\s*(?:-|–|to|or)\s*(\d+(?:\.\d+)?)\s*(minutes?|mins?\b|hours?|hrs?\b|days?|weeks?)/.exec(
      said,
    );
  if (mixed) {
    const [, low = '0', lowUnit = 'min', high = low, highUnit = 'min'] = mixed;
    const [from, to] = [Number(low) * unitMinutes(lowUnit), Number(high) * unitMinutes(highUnit)];
    if (from <= to) return [Math.round(from), Math.round(to)];
  }
  const found =
    /(\d+(?:\.\d+)?)(?:\s*(?:-|–|to|or)\s*(\d+(?:\.\d+)?))?\s*(minutes?|mins?\b|hours?|hrs?\b|h\b|days?|weeks?)/.exec(
      said,
    );
  if (found) {
    const [, low = '0', high = low, unit = 'min'] = found;
    const each = unitMinutes(unit);
    const [from, to] = [Number(low) * each, Number(high) * each];
    return from <= to ? [Math.round(from), Math.round(to)] : [Math.round(to), Math.round(from)];
  }
  // Common practice: from the evening until the morning.
  return /overnight|over night/.test(said) ? [480, 720] : undefined;
}

function unitMinutes(unit: string): number {
  return MIN_PER[Object.keys(MIN_PER).find((name) => unit.startsWith(name)) ?? 'min'] ?? 1;
}

type Entry = (minutes: Minutes | undefined) => string | undefined;

const fixed =
  (entry: string): Entry =>
  () =>
    entry;
/** A step with so many minutes in its name. */
const minutesOf =
  (step: string): Entry =>
  (time) =>
    time && time[1] <= 600 ? `${step}-${time[1]}` : undefined;
const hoursOf =
  (step: string): Entry =>
  (time) =>
    time && time[0] >= 60 && time[0] % 60 === 0 ? `${step}-${time[0] / 60}h` : undefined;

/** Words of a sentence and the handbook's step they mean; the closer ones first. */
const ENTRIES: readonly (readonly [RegExp, Entry])[] = [
  [/\bsalt\b.*\b(?:ice|iced)\b|\bice\b.*\bsalt\b|\b(?:cover|top|pack) with (?:crushed )?ice/i, hoursOf('salt-ice')],
  [
    /\b(?:salt|brine)\b.*\b(?:soak|stand|leave|overnight|let)\b|\b(?:soak|stand)\b.*\b(?:salt|brine)/i,
    hoursOf('salt-soak'),
  ],
  [/\b(?:infuse|steep|macerate)\b/i, hoursOf('infuse')],
  [/\bferment/i, (time) => (time && time[0] >= 14 * 1_440 ? 'ferment-3wk' : undefined)],
  [
    /\b(?:lemon juice|lime juice|citric acid)\b.*\b(?:each|every|per|to the|into the|the)\b.*\bjars?\b|\bjars?\b.*\b(?:lemon juice|citric acid)\b/i,
    fixed('acid'),
  ],
  [/\bmarinate\b/i, hoursOf('marinate')],
  [/^(?:then )?drain\b|drain (?:well|and rinse)|rinse and drain/i, fixed('drain')],
  [/jelly bag|\bdrip\b/i, fixed('drip-4h')],
  [/food mill|through a (?:fine )?sieve|press through/i, fixed('food-mill')],
  [/^(?:then )?strain\b|strain (?:out|off|through|the)/i, fixed('strain')],
  [/measure (?:the |out )?(?:\w+ )?(?:juice|liquid|vinegar|syrup)/i, fixed('measure-juice')],
  [/measure (?:the |out )?(?:\w+ )?(?:pulp|fruit)/i, fixed('measure-pulp')],
  [/(?:hard|rolling) boil.*\b(?:1|one) min|boil hard/i, fixed('boil-1-hard')],
  [/^(?:add|stir in)\b(?!.*\b(?:boil|simmer))[^,;]*\bsugar\b/i, fixed('add-sugar')],
  [/^(?:add|stir in)\b(?!.*\b(?:boil|simmer))[^,;]*\bpectin\b/i, fixed('add-pectin')],
  [/^(?:add|stir in)\b(?!.*\b(?:boil|simmer))[^,;]*\blemon/i, fixed('add-lemon')],
  [/^(?:combine|mix|stir together)\b(?!.*\bboil\b)(?!.*\bsimmer\b)/i, fixed('combine')],
  [/rolling boil/i, fixed('full-boil')],
  [
    /setting point|gelling point|jell(?:ies|ing)|sheets? (?:off|from)|cold plate|until (?:it |they )?(?:sets?|jells?|gels?)\b/i,
    (time) => `boil-to-set-${time?.[1] ?? 25}`,
  ],
  [/skim\b/i, fixed('skim')],
  [/(?:reduce|cook down|boil down).*\bhalf\b/i, fixed('cook-down-half')],
  [/(?:reduce|cook down|boil down).*\bthird\b/i, fixed('cook-down-third')],
  [/(?:crush|mash).*\b(?:heat|boil|simmer)/i, fixed('crush-heat')],
  [/(?:heat|simmer|cook).*\b(?:brine|vinegar|syrup|liquid)\b.*(?:not boil|below)/i, fixed('heat-juice')],
  [
    /\b(?:boil|bring|heat|simmer)\b.*\b(?:brine|pickling liquid)\b|\b(?:brine|pickling liquid)\b.*\bboil/i,
    fixed('boil-brine'),
  ],
  [/^(?:boil|heat|bring|simmer)\b.*\bvinegar\b/i, (time) => (time ? undefined : 'boil-brine')],
  [
    /(?:combine|mix|stir|heat|bring|put)\b.*\bvinegar\b.*\b(?:boil|simmer)/i,
    (time) => (time ? undefined : 'boil-brine'),
  ],
  [/\bpack\b.*\b(?:hot|boiling)\b.*jars?\b.*\bhot food\b|pack hot/i, fixed('pack-hot')],
  [/\b(?:pack|stuff|put|place|arrange|layer)\b.*\bjars?\b/i, fixed('raw-pack')],
  [
    /\b(?:fill|ladle|spoon|pour|cover)\b.*\b(?:jars?|headspace|brine|liquid|syrup)\b|headspace|air bubbles|wipe (?:the )?rims?/i,
    fixed('fill'),
  ],
  [/\bsimmer\b/i, minutesOf('simmer')],
  [/\bboil\b/i, minutesOf('boil')],
  [/\bbring\b.*\bboil|\bcome to (?:a|the) boil|\bto a (?:full )?(?:rolling )?boil|\bboil\b/i, fixed('combine-boil')],
  [/\bcook\b.*\b(?:soft|tender)\b/i, fixed('cook-soft')],
  [/reheat/i, fixed('reheat')],
  [/blossom end/i, fixed('wash-blossom-end')],
  [/scald|slip (?:off )?(?:the )?skins?|blanch.*peel/i, fixed('scald-peel')],
  [/\bpeel\b.*\bcore\b/i, fixed('peel-core')],
  [/\bpeel\b.*\bcube\b/i, fixed('peel-cube')],
  [/\bpeel\b.*\bslice\b/i, fixed('peel-slice')],
  [/\bpeel\b.*\bchop\b/i, fixed('peel-chop')],
  [/\bhalve\b.*\b(?:pit|stone)\b/i, fixed('halve-pit')],
  [/\b(?:pit|stone)\b/i, fixed('pit')],
  [/\bhusk\b/i, fixed('husk')],
  [/\bseed\b.*\bslice\b|\bslice\b.*\bseed\b/i, fixed('seed-slice')],
  [/cut (?:the )?kernels/i, fixed('cut-kernels')],
  [/\b(?:shred|grate)\b/i, fixed('shred')],
  [/\bslice\b/i, fixed('slice')],
  [/\b(?:chop|dice|mince|grind)\b/i, fixed('chop')],
  [/\b(?:top and tail|trim|snap)\b/i, fixed('trim')],
  [/\bpeel\b/i, fixed('peel')],
  [/\bcore\b/i, fixed('core')],
  [/\bstem\b|\bstrip\b/i, fixed('stem')],
  [/\b(?:crush|mash)\b/i, fixed('crush-measure')],
  [/\bcut\b/i, fixed('cut')],
  [/\b(?:wash|rinse|pick over|scrub)\b/i, fixed('wash')],
];

const OCCUPY: readonly (readonly [RegExp, readonly string[]])[] = [
  [/slow.?cooker/i, ['slow cooker']],
  [/\boven\b|\b(?:bake|roast)\b/i, ['oven']],
  [/\bdehydrat/i, ['dehydrator']],
  [/\bsmoke[rd]?\b/i, ['smoker']],
  [/\bgrill\b|\bchar\b/i, ['grill']],
  [/refrigerat|\bfridge\b|\bchill\b/i, ['refrigerator']],
  [/jelly bag|\bstrain/i, ['strainer']],
  [/\b(?:boil|simmer|cook|heat|fry|saut|stew)/i, ['burner', 'pot']],
];

/** Hands that a step in own words takes, where nothing else is told. Common practice. */
const SOME_HANDS: Minutes = [3, 8];
const PUT_ON: Minutes = [2, 4];

/** What a sentence says of a canner: never a step, and its minutes are never taken from a pasted text. */
export const PROCESSING =
  /\bprocess(?:ed|ing)?\b|water.?bath|pressure can|\bcanner\b|inversion|invert|turn (?:the )?jars/i;

/**
 * Reads one sentence of a method: one of the handbook's steps where its words mean one, else a step in own words, with the
 * minutes it gives and what it occupies.
 */
export function readStep(sentence: string): ReadStep {
  const text = sentence.trim().replace(/\s+/g, ' ');
  const time = timeIn(text);
  const beside = /^(?:meanwhile|in the meantime|while |at the same time)/i.test(text);
  const common = {
    text,
    ...(/\boptional(?:ly)?\b|if (?:you )?(?:like|wish)/i.test(text) && { optional: true as const }),
    ...(beside && { beside: true as const }),
    ...remindIn(text, time),
  };
  const own = OCCUPY.find(([words]) => words.test(text))?.[1] ?? [];
  // Something in the oven or the grill is no step on the stove, whatever it is called.
  const elsewhere = own.some((name) => ['oven', 'grill', 'slow cooker'].includes(name));
  const entry = elsewhere ? undefined : ENTRIES.find(([words]) => words.test(text))?.[1](time);
  // "Rinse and soak 1 hour": an hour that the handbook's step does not have is no such step.
  const isLonger =
    time !== undefined && time[1] >= SOME_WAIT_MIN && entry !== undefined && isStep(entry) && !keepsTime(entry);
  if (entry !== undefined && isStep(entry) && !isLonger) {
    const usual = stepOf(entry).waitMinutes;
    const given = time && usual[1] > 0 && !(time[0] === usual[0] && time[1] === usual[1]);
    return { ...common, entry, ...(given && { wait: time }), occupies: [] };
  }
  return { ...common, hands: time ? PUT_ON : SOME_HANDS, ...(time && { wait: time }), occupies: own };
}

/** Shorter waits are part of the hands' own minutes. */
const SOME_WAIT_MIN = 10;
/** Where jars are filled or closed a time that is named is another thing's: of the canner, of the shelf. */
const AT_THE_JARS = /^(?:raw-pack|pack-hot|fill|close|acid|measure-|crush-measure)/;

/** Whether a step of the handbook has a wait, or none that a sentence could mean. */
function keepsTime(entry: string): boolean {
  return stepOf(entry).waitMinutes[1] > 0 || AT_THE_JARS.test(entry);
}

/** "stirring every 10 minutes", "stir daily", "skim each day": the call, and how often. */
function remindIn(text: string, time: Minutes | undefined): Pick<ReadStep, 'remind'> | undefined {
  const what = /\b(stir|skim|shake|turn|check)(?:ring|ming|ing)?\b/i.exec(text)?.[1]?.toLowerCase();
  if (what === undefined) return undefined;
  const words =
    what === 'shake'
      ? 'Shake'
      : what === 'skim'
        ? 'Skim'
        : what === 'turn'
          ? 'Turn'
          : what === 'check'
            ? 'Look at it'
            : 'Stir';
  const every = /\b(?:every|each) (\d+) ?(min|hour|h\b)/i.exec(text);
  if (every) return { remind: { words, everyMinutes: Number(every[1]) * (/^h/i.test(every[2] ?? '') ? 60 : 1) } };
  if (/\bdaily\b|\b(?:each|every|once a) day\b/i.test(text)) return { remind: { words, everyMinutes: 1_440 } };
  if (/\btwice a day\b/i.test(text)) return { remind: { words, everyMinutes: 720 } };
  // A wait of hours that is stirred "once" or "now and then" is stirred at half time, as the handbook's infusions are.
  return time && time[0] >= 240 ? { remind: { words, everyMinutes: Math.ceil(time[0] / 2) } } : undefined;
}
