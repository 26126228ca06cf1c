import { type EatNext } from '@hoddle/core/pantry/eatNext';
import { View } from 'react-native';
import { hueOfProduct } from '@/ui/colours';
import { JarDrawing } from '@/ui/JarDrawing';
import { RowLink } from '@/ui/RowLink';
import { Words } from '@/ui/Words';
import { countOf, EAT_WORDS, eatSentence } from '@/household/pantry/pantryWords';

/** What is to be eaten this week, each leading to its jars. */
export function EatRows({ list, now }: { list: readonly EatNext[]; now: number }) {
  return (
    <View className="px-4">
      {list.map((item) => (
        <RowLink
          key={`${item.lot.id} ${item.reason}`}
          href={{ pathname: '/shelf/lot/[lotId]', params: { lotId: item.lot.id } }}
          className="min-h-[56px] flex-row items-center gap-3 border-b border-hair py-1"
        >
          <JarDrawing size={item.lot.jar} quartPx={40} look="here" {...hueOfProduct(item.lot.product)} />
          <View className="flex-1">
            <Words weight={700}>
              {item.reason === 'past-use' && 'Throw away: '}
              {countOf(item.jars, item.lot)}
            </Words>
            <Words size="label" tone="ink-2">
              {eatSentence(item, now)}
            </Words>
          </View>
          <View className={`rounded-chip px-2 py-[2px] ${item.reason === 'past-use' ? 'bg-ink' : ''}`}>
            <Words size="small" weight={700} tone={item.reason === 'past-use' ? 'white' : 'ink-2'}>
              {EAT_WORDS[item.reason]}
            </Words>
          </View>
        </RowLink>
      ))}
    </View>
  );
}
