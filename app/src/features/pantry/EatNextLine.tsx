import { eatNext } from '@hoddle/core/pantry/eatNext';
import { recipeName } from '@hoddle/core/recipe/recipeName';
import ChevronRight from 'lucide-react-native/icons/chevron-right';
import { useMemo } from 'react';
import { View } from 'react-native';
import { COLOURS } from '@/ui/colours';
import { RowLink } from '@/ui/RowLink';
import { Words } from '@/ui/Words';
import { EAT_WORDS } from '@/household/pantry/pantryWords';
import { useForecasts, usePantry } from '@/household/pantry/usePantry';

const NAMED = 2;

/** The most pressing jars in one line, leading to all of them: the boards are what the shelf is about. */
export function EatNextLine({ now }: { now: number }) {
  const { stocked } = usePantry();
  const list = eatNext(stocked, useForecasts(now), now);
  const named = list.slice(0, NAMED).map(({ lot, reason }) => {
    return `${recipeName(lot).toLowerCase()} (${EAT_WORDS[reason]})`;
  });
  const more = list.length - named.length;
  const words = named.join(', ') + (more > 0 ? ` and ${more} more` : '');
  // The same jars for the same reasons are drawn once.
  return useMemo(() => (words === '' ? null : <Line words={words} />), [words]);
}

function Line({ words }: { words: string }) {
  return (
    <RowLink href="/shelf/next" className="mx-4 min-h-[56px] flex-row items-center gap-2 border-b border-hair py-1">
      <View className="flex-1">
        <Words>
          <Words weight={700}>Eat next: </Words>
          {words}
        </Words>
      </View>
      <ChevronRight size={26} strokeWidth={2.6} color={COLOURS.cobalt} />
    </RowLink>
  );
}
