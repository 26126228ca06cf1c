import { type ProductRow } from '@hoddle/core/handbook/products';
import { formulasOf } from '@hoddle/core/handbook/recipes';
import { type ChangeVerdict } from '@hoddle/core/recipe/change';
import { changesOfBatch } from '@hoddle/core/process/changesOfBatch';
import { inKitchenFractions, readFormula } from '@hoddle/core/handbook/formula';
import { TextInput, View } from 'react-native';
import { VerdictSign } from '@/ui/VerdictSign';
import { Heading, Words } from '@/ui/Words';
import { CHANGE_WORDS, VERDICT_WORDS } from './changeWords';

interface BatchLinesProps {
  product: ProductRow;
  typed: string;
  onType: (typed: string) => void;
}

/** The product's first formula as a cook would write it, one ingredient a line. */
export function firstFormulaLines(product: ProductRow): string {
  const formula = formulasOf(product.product)[0];
  if (!formula) return '';
  return readFormula(formula.mainInputs)
    .ingredients.map(({ text }) => inKitchenFractions(text))
    .join('\n');
}

/** What the written batch changes; nothing while no line is written. */
export function changesOfLines(product: ProductRow, typed: string): ChangeVerdict[] {
  const lines = typed
    .split('\n')
    .map((line) => line.trim())
    .filter(Boolean);
  return lines.length === 0 ? [] : changesOfBatch(product.product, lines);
}

/** The whole batch written down, held against the formula line by line as it is typed. */
export function BatchLines({ product, typed, onType }: BatchLinesProps) {
  const changes = changesOfLines(product, typed);
  return (
    <View className="gap-2">
      <Heading>Or write the batch as you would make it</Heading>
      <TextInput
        aria-label="The batch, one ingredient a line"
        value={typed}
        onChangeText={onType}
        multiline
        numberOfLines={Math.min(12, typed.split('\n').length + 1)}
        autoComplete="off"
        className="rounded-key border-2 border-key-edge bg-plate px-3 py-2 font-medium text-body text-ink"
      />
      <View role="status" aria-live="polite" className="gap-2">
        {typed.trim() !== '' && changes.length === 0 && (
          <View className="flex-row items-center gap-2">
            <VerdictSign verdict="allowed" size={26} />
            <Words weight={700}>That is the formula.</Words>
          </View>
        )}
        {changes.map(({ change, verdict, reason }) => (
          <View key={change} className="flex-row items-start gap-2">
            <VerdictSign verdict={verdict} size={26} />
            <Words className="flex-1">
              <Words weight={700}>
                {CHANGE_WORDS[change]}: {VERDICT_WORDS[verdict].toLowerCase()}.
              </Words>{' '}
              {reason}
            </Words>
          </View>
        ))}
      </View>
    </View>
  );
}
