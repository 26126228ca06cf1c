import { type ReportedDay } from '@hoddle/core/season/report/seasonReport';
import { View } from 'react-native';
import { duration } from '@/ui/clockWords';
import { hueOfProduct } from '@/ui/colours';
import { JarDrawing } from '@/ui/JarDrawing';
import { Plate } from '@/ui/Plate';
import { RowLink } from '@/ui/RowLink';
import { Heading, Words } from '@/ui/Words';
import { reportedJars } from '@hoddle/core/season/report/reportedWords';
import { dayShort } from '@/household/season/seasonWords';
import { type Season } from './useSeason';

const MINUTE_MS = 60_000;

/** The days to come, each with what it makes; pinned ones say so. */
export function PlannedDays({ days, season }: { days: readonly ReportedDay[]; season: Season }) {
  if (days.length === 0) return null;
  return (
    <Plate>
      <Heading className="pb-1">Days to come</Heading>
      <View role="list">
        {days.map((day, i) => (
          <View role="listitem" key={day.day}>
            <DayRow day={day} next={i === 0} pinned={season.pins.some((pin) => pin.day === day.day)} />
          </View>
        ))}
      </View>
    </Plate>
  );
}

function DayRow({ day, next, pinned }: { day: ReportedDay; next: boolean; pinned: boolean }) {
  const jars = day.batches.reduce((sum, batch) => sum + batch.jars, 0);
  return (
    <RowLink
      href={{ pathname: '/plan/on/[day]', params: { day: day.day } }}
      className="min-h-[64px] gap-1 border-t border-hair py-2"
    >
      <Words weight={800} size={next ? 'lead' : 'body'}>
        {dayShort(day.day)}, {jars} jars
      </Words>
      <Words size="label" tone="ink-2">
        {duration(Math.round(day.handsMinutes) * MINUTE_MS)} of hands{pinned ? ', pinned' : ''}
      </Words>
      {day.batches.map((batch) => (
        <View key={batch.recipe} className="flex-row items-center gap-2">
          <JarDrawing size={batch.jar} quartPx={24} look="planned" {...hueOfProduct(batch.product)} />
          <Words className="flex-1">{reportedJars(batch)}</Words>
        </View>
      ))}
    </RowLink>
  );
}
