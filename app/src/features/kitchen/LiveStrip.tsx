import { inZone } from '@/store/householdZone';
import { addHours } from 'date-fns/addHours';
import { format } from 'date-fns/format';
import { startOfHour } from 'date-fns/startOfHour';
import { type ScheduledTask } from '@hoddle/core/day/dayProblem';
import { needsHands } from '@hoddle/core/day/restOfDay';
import { useState } from 'react';
import { View } from 'react-native';
import { type Day } from '@hoddle/core/kitchen/dayInHand';
import { useHousehold } from '@/store/useHousehold';
import { clockTime, clockTimeFrom } from '@/ui/clockWords';
import { COLOURS } from '@/ui/colours';
import { Words } from '@/ui/Words';

const MINUTE_MS = 60_000;
const LANE_PX = 34;
const NAME_PX = 132;
/** So much of the past stays in sight, and no more to come than this. */
const BACK_MIN = 120;
const MOST_MIN = 9 * 60;

const HEAT: Readonly<Partial<Record<ScheduledTask['task']['kind'], string>>> = {
  load: COLOURS.heatDark,
  'heat-up': COLOURS.heatDark,
  process: COLOURS.boilDeep,
  rest: COLOURS.restDark,
  unload: COLOURS.restDark,
};

/** The day from left to right: hands, pots and canners, with the line of now. */
export function LiveStrip({ day, now }: { day: Day; now: number }) {
  const [width, setWidth] = useState(1_000);
  const { canners } = useHousehold().household;
  const nowMin = (now - day.startAt) / MINUTE_MS;
  const endMin = Math.max(nowMin + 60, ...day.tasks.map((task) => task.endMin));
  const fromMin = Math.max(0, nowMin - BACK_MIN);
  const toMin = Math.min(endMin + 15, fromMin + MOST_MIN);
  const xOf = (minute: number) => NAME_PX + ((minute - fromMin) / (toMin - fromMin)) * (width - NAME_PX - 24);
  const used = canners.filter(({ id }) => day.loads.some(({ cannerId }) => cannerId === id));
  const lanes = [
    { name: 'Hands', tasks: day.tasks.filter(({ task }) => needsHands(task)) },
    { name: 'Pots', tasks: day.tasks.filter(({ task }) => !needsHands(task) && task.cannerId === undefined) },
    ...used.map(({ id, name }) => ({
      name,
      tasks: day.tasks.filter(({ task }) => task.cannerId === id && task.kind !== 'preheat'),
    })),
  ];
  const hours = [];
  for (
    let at = addHours(startOfHour(inZone(day.startAt + fromMin * MINUTE_MS)), 1);
    at.getTime() < day.startAt + toMin * MINUTE_MS;
  ) {
    hours.push(at.getTime());
    at = addHours(at, 1);
  }
  return (
    <View
      role="img"
      aria-label={`The day until ${clockTimeFrom(day.startAt + endMin * MINUTE_MS, now)}, now ${clockTime(now)}`}
      className="mx-6"
      style={{ height: 34 + lanes.length * (LANE_PX + 8) }}
      onLayout={(event) => setWidth(event.nativeEvent.layout.width)}
    >
      {hours.map((at) => (
        <View key={at} className="absolute bottom-0 top-0" style={{ left: xOf((at - day.startAt) / MINUTE_MS) }}>
          <Words tone="milk-2" style={{ marginLeft: -18 }}>
            {format(inZone(at), 'h aaa')}
          </Words>
          <View className="w-px flex-1 bg-granite-line" />
        </View>
      ))}
      {lanes.map(({ name, tasks }, lane) => {
        const top = 30 + lane * (LANE_PX + 8);
        return (
          <View key={name} className="absolute left-0 right-0" style={{ top, height: LANE_PX }}>
            <Words weight={700} tone="milk" numberOfLines={1} style={{ width: NAME_PX - 12, lineHeight: LANE_PX }}>
              {name}
            </Words>
            {tasks
              .filter((task) => task.endMin > fromMin && task.startMin < toMin)
              .map((entry) => {
                const left = xOf(Math.max(fromMin, entry.startMin));
                const wide = Math.max(3, xOf(Math.min(toMin, entry.endMin)) - left - 1);
                const past = entry.endMin <= nowMin;
                const hollow = name === 'Pots' || entry.task.kind === 'load' || entry.task.kind === 'heat-up';
                const colour = HEAT[entry.task.kind] ?? COLOURS.milk;
                return (
                  <View
                    key={entry.task.id}
                    className="absolute items-center justify-center overflow-hidden"
                    style={{
                      left,
                      width: wide,
                      height: LANE_PX,
                      opacity: past ? 0.5 : 1,
                      borderWidth: 2,
                      borderColor: colour,
                      backgroundColor: hollow ? 'transparent' : colour,
                    }}
                  >
                    {entry.task.kind === 'process' && wide > 64 && (
                      <Words weight={700} tone="milk">
                        {Math.round(entry.endMin - entry.startMin)} min
                      </Words>
                    )}
                  </View>
                );
              })}
          </View>
        );
      })}
      <View className="absolute bottom-0 w-[3px] bg-milk" style={{ left: xOf(nowMin), top: 4 }} />
    </View>
  );
}
