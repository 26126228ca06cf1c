import { type Alarm } from '@hoddle/core/kitchen/alarms';
import { View } from 'react-native';
import { type Day } from '@/features/day/useDay';
import { Words } from '@/ui/Words';
import { KitchenKey } from './KitchenKey';
import { useTellDay } from './useTellDay';

/** A low-temperature bath is watched: 180 F at least, or its time starts again; over 185 F the food goes soft. */
export function ThermometerRow({ day, alarm }: { day: Day; alarm: Alarm }) {
  const tell = useTellDay(day.id);
  return (
    <View role="alert" className="alarm-flash mx-4 gap-2 rounded-pot bg-milk p-3">
      <Words size="head" weight={700} tone="granite">
        Look at the thermometer: 180 to 185 F?
      </Words>
      <KitchenKey
        look="outline"
        words="It is between them"
        onPress={() => tell({ type: 'alarm-answered', alarmId: alarm.id })}
      />
      <Words size="lead" tone="granite">
        Under 180 F: tap “Under 180 F” at its pot. Over 185 F: less heat.
      </Words>
    </View>
  );
}
