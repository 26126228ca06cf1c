import { type OwnRecipe } from '@hoddle/core/process/ownRecipe';
import { neverDone } from '@hoddle/core/recipe/own/neverDone';
import { placeLines } from '@hoddle/core/recipe/own/placeLines';
import { readCardLine } from '@hoddle/core/recipe/own/readCardLine';
import { readStep } from '@hoddle/core/recipe/own/readStep';
import { View } from 'react-native';
import { TextKey } from '@/ui/TextKey';
import { Heading, Words } from '@/ui/Words';

interface UnreadPartProps {
  page: OwnRecipe;
  onChange: (part: Partial<OwnRecipe>) => void;
}

/** So many are shown; the rest is kept all the same. */
const SHOWN = 12;

/** What was pasted and is neither an ingredient nor a step: kept as text, and made one of them by a tap. */
export function UnreadPart({ page, onChange }: UnreadPartProps) {
  const { unread, lines, steps } = page;
  if (unread.length === 0) return null;
  const without = (at: number) => unread.filter((_, i) => i !== at);
  const asLine = (text: string, at: number) => {
    const [read] = placeLines([readCardLine(text)], steps);
    const last = Math.max(0, ...lines.map(({ id }) => Number(id.replace(/\D/g, '')) || 0));
    if (read) onChange({ lines: [...lines, { ...read, id: `l${last + 1}` }], unread: without(at) });
  };
  const asStep = (text: string, at: number) => {
    const { beside: _, ...read } = readStep(text);
    const last = Math.max(0, ...steps.map(({ id }) => Number(id.replace(/\D/g, '')) || 0));
    onChange({ steps: [...steps, { ...read, id: `s${last + 1}` }], unread: without(at) });
  };
  return (
    <View className="gap-1">
      <Heading>Kept as text</Heading>
      <Words size="label" tone="ink-2">
        Neither an ingredient nor a step. Minutes in a canner are never taken from here.
      </Words>
      <View role="list" aria-label="Kept as text">
        {unread.slice(0, SHOWN).map((text, at) => {
          const never = neverDone(text);
          return (
            <View key={`${at} ${text}`} role="listitem" className="border-t border-hair py-1">
              <Words>{text}</Words>
              {never !== undefined && <Words weight={700}>{never}</Words>}
              {never === undefined && (
                <View className="flex-row">
                  <TextKey words="An ingredient" label={`${text}: an ingredient`} onPress={() => asLine(text, at)} />
                  <TextKey words="A step" label={`${text}: a step`} onPress={() => asStep(text, at)} />
                </View>
              )}
            </View>
          );
        })}
      </View>
      {unread.length > SHOWN && <Words tone="ink-2">and {unread.length - SHOWN} more lines</Words>}
    </View>
  );
}
