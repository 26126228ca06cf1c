import { errandsOn } from '@hoddle/core/day/errand';
import ChevronRight from 'lucide-react-native/icons/chevron-right';
import { View } from 'react-native';
import { useHousehold } from '@/store/useHousehold';
import { COLOURS } from '@/ui/colours';
import { RowLink } from '@/ui/RowLink';
import { Words } from '@/ui/Words';
import { type Day } from '@hoddle/core/kitchen/dayInHand';
import { errandName } from '@/household/day/errandWords';
import { wishWords } from './wishWords';

/** One line that leads to what else is to do on the day, and what is wished of it. */
export function LifeLink({ day }: { day: Day }) {
  const { canners } = useHousehold().household;
  const { setup, weekday, errands, startMinute } = day.question;
  const told = [
    ...errandsOn(setup.cooks, { weekday, errands }, 0)
      .filter(({ toMin }) => toMin > startMinute)
      .map(errandName),
    ...day.state.wishes.map((wish) => wishWords(wish, day, canners)),
  ];
  return (
    <RowLink
      href="/plan/life"
      className="mb-2 min-h-[52px] flex-row items-center gap-2 rounded-key border-2 border-key-edge px-3 py-1"
    >
      <View className="flex-1">
        <Words weight={700}>Errands and wishes</Words>
        <Words size="label" tone="ink-2" numberOfLines={2}>
          {told.length === 0 ? 'what else there is to do, and when it is to be ready' : told.join('; ')}
        </Words>
      </View>
      <ChevronRight size={22} strokeWidth={2.6} color={COLOURS.cobalt} />
    </RowLink>
  );
}
