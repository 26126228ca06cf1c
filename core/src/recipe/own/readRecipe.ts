import { type JarSize } from '../../handbook/jars';
import { type ReadLine, readCardLine } from './readCardLine';
import { readMethod } from './readMethod';
import { measuredIn, withEqualSugar } from './measuredIn';
import { placeLines } from './placeLines';
import { type Minutes, type OwnLine, type OwnStep, type RecipePage } from './recipePage';
import { twoInOne } from './twoInOne';

/** More ingredients than any page has; what comes after is kept as text. */
export const MOST_LINES = 60;
/** Longer than any ingredient. */
const LONGEST_LINE = 160;

/** A page as it was read, before it has an id. */
export type DraftPage = Omit<RecipePage, 'id' | 'revision'> & {
  /** What the text says of a canner: shown, and its minutes never taken. */
  readonly processing: readonly string[];
};

const INGREDIENTS = /^(?:the )?ingredients?\b[^.]{0,20}:?$/i;
const METHOD =
  /^(?:method|directions?|instructions?|preparation|steps|how to (?:make|do) it|procedure)\b[^.]{0,20}:?$/i;
const VERBS =
  'wash|peel|slice|chop|cut|combine|mix|bring|boil|simmer|cook|heat|drain|rinse|strain|pack|fill|ladle|pour|cover|stir|let|leave|soak|bake|roast|infuse|steep|measure|crush|mash|remove|skim|process|cool|refrigerate|store|stem|pit|halve|trim|dissolve|return|sterili[sz]e|seal|grill|char|core|press|thaw|blend|pur[ée]e|freeze|grate|shred|toss|sprinkle|layer|place|put|add|reduce|ferment|weigh|warm|scald|blanch|dip|husk|snap|squeeze|wipe|adjust|turn|keep|serve|discard|check|taste|test|set|repeat|continue|divide|spoon|tie|prepare|rub|brush|top';
/** A line that tells to do something: with its number, or after "then". */
const VERB = new RegExp(
  `^(?:(?:step )?\\d{1,2}[.):]\\s*)?(?:then,? |meanwhile,? |next,? |finally,? |slowly |gently |lightly |carefully |in an? [\\w ]{3,30},? |(?:while|when|after|once|until|using) [^,]{3,60}, ?)?(?:${VERBS})\\b`,
  'i',
);

/** Reads a pasted page: its title, ingredients, method, yield and headspace. Nothing pasted is lost: what is not understood is `unread`. */
export function readRecipe(pasted: string): DraftPage {
  const lines = linesOf(pasted);
  const { title, method, rest, ...written } = parted(lines);
  const ingredients = written.ingredients.flatMap(twoInOne);
  const read = ingredients.slice(0, MOST_LINES).map(readCardLine);
  const { steps, processing, unread } = readMethod(method);
  const all = lines.join('\n');
  const placed = withOilOfSteps(placeLines(read, steps), steps);
  const measured = measuredIn(placed, steps, all);
  return {
    name: title,
    draft: true,
    lines: measured ? placed.map((line) => withEqualSugar(line, measured.cups)) : placed,
    ...(measured && { measured }),
    steps,
    unread: [...rest, ...ingredients.slice(MOST_LINES), ...unread],
    processing,
    yields: yieldIn(all) ?? yieldOf(read),
    pack: steps.some(({ entry }) => entry === 'raw-pack') ? 'raw' : 'hot',
    headspaceIn: headspaceIn(all) ?? 0.5,
    ...fillHeat(all),
    readyDays: readyIn(all) ?? [0, 0],
    fillings: [],
  };
}

/** Oil that only the method tells of is in the food all the same. */
function withOilOfSteps(lines: readonly OwnLine[], steps: readonly OwnStep[]): readonly OwnLine[] {
  const step = steps.find(({ text }) => /\b(?:in|with) (?:\w+ ){0,2}oil\b|\boil (?:the|them)\b/i.test(text));
  if (!step || lines.some(({ role, text }) => role === 'oil' || /\boil\b/i.test(text))) return lines;
  const oil = readCardLine('some oil');
  return [...lines, { ...oil, id: `l${lines.length + 1}`, into: step.id }];
}

/** Plain lines of a text, a web page's mark-up taken off; nothing in it is run. */
export function linesOf(pasted: string): string[] {
  return pasted
    .slice(0, 60_000)
    .replace(/<(script|style)\b[\s\S]*?<\/\1>/gi, '\n')
    .replace(/<(?:br|\/?(?:li|p|div|h\d|tr|ul|ol|section))\b[^>]*>/gi, '\n')
    .replace(/<\/?[a-z][^>]*>/gi, ' ')
    .replace(/&nbsp;/g, ' ')
    .replace(/&amp;/g, '&')
    .replace(/&(?:frac12|#189);/g, '½')
    .replace(/&(?:frac14|#188);/g, '¼')
    .replace(/&deg;/g, '°')
    .replace(/&(?:lt|#60);/g, '<')
    .replace(/&(?:gt|#62);/g, '>')
    .replace(/\u0000/g, '')
    .split(/\r?\n/)
    .map((line) => line.trim().replace(/\s+/g, ' '))
    .filter((line) => line !== '');
}

interface Parted {
  title: string;
  ingredients: string[];
  method: string[];
  rest: string[];
}

function parted(lines: readonly string[]): Parted {
  const parts: Parted = { title: '', ingredients: [], method: [], rest: [] };
  let part: 'ingredients' | 'method' | undefined;
  const headed = lines.some((line) => INGREDIENTS.test(line));
  for (const [i, line] of lines.entries()) {
    if (INGREDIENTS.test(line)) part = 'ingredients';
    else if (METHOD.test(line)) part = 'method';
    else if (YIELD.test(line) && line.length < 60 && !VERB.test(line)) continue;
    else if (part === 'method') parts.method.push(line);
    else if (i === 0 && isTitle(line)) parts.title = line.slice(0, 80);
    else if (headed && part === undefined) parts.rest.push(line);
    else if (isSentence(line)) {
      parts.method.push(line);
      part = 'method';
    } else if (line.length <= LONGEST_LINE) parts.ingredients.push(line);
    else parts.rest.push(line);
  }
  return parts;
}

function isTitle(line: string): boolean {
  return line.length <= 80 && !/^[\d¼½¾⅓⅔⅛*•-]/.test(line) && !/[.;]$/.test(line) && !VERB.test(line);
}

function isSentence(line: string): boolean {
  return (
    VERB.test(line) &&
    !/^(?:cut|chop|slice)\w* /i.test(line.replace(VERB, '')) &&
    (line.length > 18 || line.endsWith('.'))
  );
}

const YIELD = /\b(?:makes?|yields?|gives)\b:?/i;
const SIZES: readonly (readonly [RegExp, JarSize])[] = [
  [/half.?pints?|8.?(?:oz|ounce)|1\/2 pints?|½ pints?|1.?cup/i, 'half-pint'],
  [/quarter.?pints?|4.?oz/i, 'quarter-pint'],
  [/12.?oz/i, 'twelve-ounce'],
  [/half.?gallons?/i, 'half-gallon'],
  [/quarts?|32.?oz|\b1 l(?:it)/i, 'quart'],
  [/pints?|16.?oz|500 ml/i, 'pint'],
];

/** "Makes about 5 half-pints", "Yield: 7 to 8 pint jars". */
export function yieldIn(text: string): RecipePage['yields'] | undefined {
  const found =
    /\b(?:makes?|yields?|gives)\b:?\s*(?:about|approx\w*\.?|ca\.?)?\s*(\d+(?:\.\d+)?)(?:\s*(?:-|–|to|or)\s*(\d+(?:\.\d+)?))?\s*((?:full |small )?[^\n.;]{0,24})/i.exec(
      text,
    );
  if (!found) return undefined;
  const [, low = '', high = low, words = ''] = found;
  const jar = SIZES.find(([pattern]) => pattern.test(words))?.[1];
  if (jar === undefined || !(Number(low) > 0) || Number(low) > 100) return undefined;
  return { low: Number(low), high: Math.max(Number(low), Math.min(100, Number(high))), jar };
}

/** Where no yield stands, what is weighed or poured: a pound of produce is about a pint. Common practice. */
function yieldOf(lines: readonly ReadLine[]): RecipePage['yields'] {
  const kg = lines.reduce((sum, { amount, role }) => {
    if (role !== 'acid-food' && role !== 'low-acid') return sum;
    if (amount.of === 'kg') return sum + amount.high;
    return amount.of === 'ml' ? sum + amount.high / 1_600 : sum;
  }, 0);
  const pints = Math.max(1, Math.min(100, Math.round(kg / 0.45)));
  return { low: Math.max(1, Math.floor(pints * 0.75)), high: Math.max(1, pints), jar: 'pint' };
}

function headspaceIn(text: string): number | undefined {
  const found =
    /(\d\/\d|¼|½|1|one|half|quarter)[\s-]*(?:an? )?(?:inch(?:es)?|in\.?|")\s*(?:of )?head ?space|head ?space(?: of)?:?\s*(\d\/\d|¼|½|1)[\s-]*(?:inch|in\b|")/i.exec(
      text,
    );
  const said = (found?.[1] ?? found?.[2] ?? '').toLowerCase();
  return { '1/8': 0.125, '1/4': 0.25, '¼': 0.25, quarter: 0.25, '1/2': 0.5, '½': 0.5, half: 0.5, '1': 1, one: 1 }[said];
}

function fillHeat(text: string): Pick<RecipePage, 'fillF'> {
  const found = /(?:fill|ladle|pour)[^.\n]{0,40}?(\d{3}) ?°? ?F\b/i.exec(text)?.[1];
  return found === undefined ? {} : { fillF: Number(found) };
}

/** "Ready in 3 days", "wait a week before eating". */
function readyIn(text: string): Minutes | undefined {
  const found =
    /\b(?:ready|wait|stand|rest)[^.\n]{0,30}?(\d+|a|one|two|three)(?:\s*(?:-|–|to)\s*(\d+))? (day|week)s?\b(?: before| in the refrigerator)?/i.exec(
      text,
    );
  if (!found || !/ready|before|refrigerator/i.test(found[0])) return undefined;
  const word = { a: 1, one: 1, two: 2, three: 3 }[(found[1] ?? '').toLowerCase()];
  const each = found[3]?.toLowerCase() === 'week' ? 7 : 1;
  const low = (word ?? Number(found[1])) * each;
  const high = found[2] === undefined ? low : Number(found[2]) * each;
  return low <= 365 && high >= low ? [low, high] : undefined;
}
