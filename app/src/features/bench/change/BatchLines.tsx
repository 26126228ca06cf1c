import { cardsOf } from '@hoddle/core/handbook/cards';
import { type Card } from '@hoddle/core/handbook/cards/card';
import { type ProductRow } from '@hoddle/core/handbook/products';
import { printFraction } from '@hoddle/core/measure/fraction';
import { type ChangesOfBatch, compareBatch } from '@hoddle/core/process/changesOfBatch';
import { lineWords } from '@hoddle/core/recipe/cardWords';
import { type ChangeVerdict } from '@hoddle/core/recipe/change';
import { TextInput, View } from 'react-native';
import { Key } from '@/ui/Key';
import { VerdictSign } from '@/ui/VerdictSign';
import { Heading, Words } from '@/ui/Words';
import { CHANGE_WORDS, VERDICT_WORDS } from './changeWords';

interface BatchLinesProps {
  product: ProductRow;
  typed: string;
  onType: (typed: string) => void;
}

/** A recipe as a cook would write it, one ingredient a line; by default the product's first one. */
export function recipeLines(product: ProductRow, card: Card | undefined = cardsOf(product.product)[0]): string {
  return (card?.ingredients ?? []).map(lineWords).join('\n');
}

/** What the written batch changes in the nearest recipe; nothing while no line is written. */
export function changesOfLines(product: ProductRow, typed: string): ChangesOfBatch {
  const lines = typed
    .split('\n')
    .map((line) => line.trim())
    .filter(Boolean);
  return lines.length === 0 ? { verdicts: [], alike: 0 } : compareBatch(product.product, lines);
}

/** The whole batch written down, held against the recipe line by line as it is typed. */
export function BatchLines({ product, typed, onType }: BatchLinesProps) {
  const { verdicts, scale, card } = changesOfLines(product, typed);
  const printed = recipeLines(product, card);
  return (
    <View className="gap-2">
      <Heading>Or write the batch as you would make it</Heading>
      <TextInput
        aria-label="The batch, one ingredient a line"
        value={typed}
        onChangeText={onType}
        multiline
        numberOfLines={Math.min(16, typed.split('\n').length + 1)}
        autoComplete="off"
        className="rounded-key border-2 border-key-edge bg-plate px-3 py-2 font-medium text-body text-ink"
      />
      <View role="status" aria-live="polite" className="gap-2">
        {typed.trim() !== '' && (
          <Words weight={700}>
            {verdicts.length === 0 && <VerdictSign verdict="allowed" size={26} />}
            {sizeWords(scale, verdicts, card)}
          </Words>
        )}
        {verdicts.map(({ change, verdict, reason, line, tested }, i) => (
          <View key={`${i} ${change}`} className="flex-row items-start gap-2 border-t border-hair pt-2">
            <VerdictSign verdict={verdict} size={26} />
            <View className="flex-1">
              <Words weight={800}>{line ?? `Not in it: ${tested ?? 'a part of the recipe'}`}</Words>
              <Words>
                <Words weight={700}>
                  {CHANGE_WORDS[change]}: {VERDICT_WORDS[verdict].toLowerCase()}.
                </Words>{' '}
                {reason}
              </Words>
            </View>
          </View>
        ))}
      </View>
      {typed.trim() !== printed.trim() && printed !== '' && (
        <Key look="outline" words="Back to the recipe as printed" onPress={() => onType(printed)} />
      )}
    </View>
  );
}

/** "Half of the recipe": how much of which recipe it is, and whether it is still it. */
function sizeWords(scale: number | undefined, verdicts: readonly ChangeVerdict[], card: Card | undefined): string {
  const which = card === undefined || card.kind === '' ? 'the recipe' : `the recipe for ${card.kind}`;
  if (scale === undefined) return verdicts.length === 0 ? `That is ${which}.` : `Held against ${which}.`;
  const is = verdicts.length === 0 ? 'That is ' : 'Held against ';
  if (Math.abs(scale - 1) < 0.03) return `${is}${which}.`;
  if (Math.abs(scale - 0.5) < 0.015) return `${is}half of ${which}.`;
  if (Math.abs(scale - 2) < 0.06) return `${is}${which}, twice.`;
  return `${is}${printFraction(scale, 8)} of ${which}.`;
}
