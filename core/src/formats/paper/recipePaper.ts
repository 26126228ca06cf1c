import { citedOf } from '../../handbook/cards';
import { type Card } from '../../handbook/cards/card';
import { CROP_NAMES, type CropId } from '../../handbook/crops';
import { countSizes, type JarCount } from '../../handbook/jars';
import { amountWordsOf } from '../../recipe/amountWords';
import { type RecipeAmounts } from '../../recipe/recipeFor';
import { recipeName } from '../../recipe/recipeName';
import { stepGroups } from '../../recipe/stepGroups';
import { type CardProcess } from './cardProcess';
import { doseWords } from './doseWords';
import { item, type Paper, type PaperPart } from './paper';

interface RecipeGround {
  readonly card: Card;
  readonly jars: readonly JarCount[];
  readonly amounts: Pick<RecipeAmounts, 'lines' | 'steps' | 'pots'>;
  readonly units: 'us' | 'metric';
  readonly process: CardProcess;
  readonly recipe: object;
}

/** A recipe for so many jars, on a card for the shelf over the stove. */
export function recipePaper({ card, jars, amounts, units, process, recipe }: RecipeGround): Paper {
  const { produce, steps } = stepGroups(amounts.lines, amounts.steps);
  const line = (each: (typeof produce)[number]) => {
    const { amount, item: of, beside } = amountWordsOf(each, units, 'all');
    return item(`${amount} ${of}`, beside);
  };
  const { source, recalled } = citedOf(card);
  const withAmounts = new Set(steps.map(({ step }) => step));
  return {
    title: card.name ?? recipeName({ product: card.product, recipe: card.card }),
    note: `for ${countSizes(jars)}${amounts.pots > 1 ? `, in ${amounts.pots} pots` : ''}`,
    recipe,
    parts: [
      ...(produce.length === 0
        ? []
        : ([
            { kind: 'heading', words: 'Fruit and vegetables' },
            { kind: 'list', items: produce.map(line) },
          ] as const)),
      ...amounts.steps.flatMap((step, i): PaperPart[] => {
        const own = steps.filter((group) => group.step === step);
        const isTwice = amounts.steps.some((other, j) => j !== i && other.words === step.words);
        const of = isTwice && step.of.length > 0 ? `: ${step.of.map(cropName).join(', ')}` : '';
        const number = `${i + 1}. ${step.words}${of}${step.optional ? ' (may be left out)' : ''}`;
        if (!withAmounts.has(step)) return [{ kind: 'words', words: number, bold: true }];
        return own.flatMap(({ lines, drained, perJar }): PaperPart[] => [
          {
            kind: 'words',
            words: `${number}${perJar ? ': in every jar' : ''}${drained ? '; this is poured off' : ''}`,
            bold: true,
          },
          { kind: 'list', items: lines.map(line) },
        ]);
      }),
      { kind: 'heading', words: process.isCold ? 'Into the cold' : 'Into the canner' },
      ...process.rows.map(({ jar, row }): PaperPart => ({ kind: 'words', words: doseWords(row, jar) })),
      ...process.words.map((words): PaperPart => ({ kind: 'words', words, bold: true })),
      // The conditions of each size differ only in what the doses say already.
      ...process.rows
        .slice(0, 1)
        .map(({ row }): PaperPart => ({ kind: 'words', words: `Tested so. ${row.conditions.join('. ')}.` })),
    ],
    foot: `${source}${recalled ? ', as recalled: hold it against the page before you rely on it' : ''}. Your extension office and local codes come first.`,
  };
}

function cropName(crop: string): string {
  return (CROP_NAMES[crop as CropId] ?? crop).toLowerCase();
}
