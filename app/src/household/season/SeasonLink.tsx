import { isoDay } from '@/ui/clockWords';
import ChevronRight from 'lucide-react-native/icons/chevron-right';
import { View } from 'react-native';
import { useHousehold, useNow } from '@/store/useHousehold';
import { COLOURS } from '@/ui/colours';
import { RowLink } from '@/ui/RowLink';
import { Words } from '@/ui/Words';
import { reportedJars } from '@hoddle/core/season/report/reportedWords';
import { dayShort } from './seasonWords';

/** One line that leads to the season: the next day of its plan and what it makes. */
export function SeasonLink() {
  const { season } = useHousehold();
  const today = isoDay(useNow(60_000));
  const next = season.plan?.days.find(({ day }) => day >= today);
  return (
    <RowLink
      href="/plan/season"
      className="min-h-[52px] flex-row items-center gap-2 rounded-key border-2 border-key-edge px-3 py-1"
    >
      <View className="flex-1">
        <Words weight={700}>Season</Words>
        <Words size="label" tone="ink-2">
          {next
            ? `${dayShort(next.day)}: ${next.batches.map((batch) => reportedJars(batch)).join(', ')}`
            : 'what to make, when, and what to buy'}
        </Words>
      </View>
      <ChevronRight size={22} strokeWidth={2.6} color={COLOURS.cobalt} />
    </RowLink>
  );
}
