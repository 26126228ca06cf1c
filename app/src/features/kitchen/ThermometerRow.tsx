import { type Alarm } from '@hoddle/core/kitchen/alarms';
import { View } from 'react-native';
import { type Day } from '@hoddle/core/kitchen/dayInHand';
import { useHousehold } from '@/store/useHousehold';
import { bathWords } from '@/ui/bathWords';
import { Words } from '@/ui/Words';
import { KitchenKey } from '@/ui/KitchenKey';
import { useTellDay } from '@/household/kitchen/useTellDay';

/** A low-temperature bath is watched: 180 F at least, or its time starts again; over 185 F the food goes soft. */
export function ThermometerRow({ day, alarm }: { day: Day; alarm: Alarm }) {
  const tell = useTellDay(day.id);
  const { low, high, both } = bathWords(useHousehold().household.units);
  return (
    <View role="alert" className="alarm-flash mx-4 gap-2 rounded-pot bg-milk p-3">
      <Words size="head" weight={700} tone="granite">
        Look at the thermometer: {both}?
      </Words>
      <KitchenKey
        look="outline"
        words="It is between them"
        onPress={() => tell({ type: 'alarm-answered', alarmId: alarm.id })}
      />
      <Words size="lead" tone="granite">
        Under {low}: tap “Under {low}” at its pot. Over {high}: less heat.
      </Words>
    </View>
  );
}
