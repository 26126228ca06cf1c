import { nextQuarter } from '@hoddle/core/day/batchOf';
import { addDays } from 'date-fns/addDays';
import { View } from 'react-native';
import { inZone, momentInZone } from '@/store/householdZone';
import { householdNow, useHousehold } from '@/store/useHousehold';
import { ChipRadio } from '@/ui/ChipRadio';
import { clockTime, isoDay, weekday } from '@/ui/clockWords';
import { Stepper } from '@/ui/Stepper';
import { Heading } from '@/ui/Words';

const QUARTER_MS = 15 * 60_000;
/** A week: later days are the season's business. */
const DAYS = 7;
const USUAL_MIN = 8 * 60;

/** When the hands begin: on which of the coming days, and at what time. */
export function StartPart({ startAt, onStart }: { startAt: number; onStart: (at: number) => void }) {
  const { cooks } = useHousehold().household.kitchen;
  const now = householdNow();
  // A day that is not today begins when somebody is up, and not before the usual hour.
  const opens = Math.max(USUAL_MIN, cooks.length === 0 ? 0 : Math.min(...cooks.map(({ fromMin }) => fromMin)));
  const days = Array.from({ length: DAYS }, (_, later) => {
    const date = addDays(inZone(now), later);
    return later === 0 ? nextQuarter(now) : momentInZone(date.getFullYear(), date.getMonth(), date.getDate(), opens);
  });
  return (
    <View className="gap-2">
      <Heading>Start</Heading>
      <View role="radiogroup" aria-label="Day it is made" className="flex-row flex-wrap gap-2">
        {days.map((at, later) => (
          <ChipRadio
            key={at}
            words={later === 0 ? 'Today' : later === 1 ? 'Tomorrow' : weekday(at)}
            chosen={isoDay(at) === isoDay(startAt)}
            onPress={() => onStart(at)}
          />
        ))}
      </View>
      <Stepper
        label="Start"
        words={`${weekday(startAt)} ${clockTime(startAt)}`}
        onLess={() => onStart(startAt - QUARTER_MS)}
        onMore={() => onStart(startAt + QUARTER_MS)}
      />
    </View>
  );
}
