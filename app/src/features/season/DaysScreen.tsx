import { type DaysGiven, type WeeklyHours } from '@hoddle/core/season/problem/givenDays';
import { isoDay } from '@/ui/clockWords';
import { useState } from 'react';
import { View } from 'react-native';
import { useHouseholdStore } from '@/store/householdStore';
import { useHousehold, useNow } from '@/store/useHousehold';
import { CheckRow } from '@/ui/CheckRow';
import { Key } from '@/ui/Key';
import { Screen } from '@/ui/Screen';
import { CountStepper } from '@/ui/CountStepper';
import { Stepper } from '@/ui/Stepper';
import { TextField } from '@/ui/TextField';
import { TextKey } from '@/ui/TextKey';
import { Heading, Words } from '@/ui/Words';
import { dayShort } from '@/household/season/seasonWords';

const WEEKDAYS = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'];
/** Monday first, as a week is lived. */
const ORDER = [1, 2, 3, 4, 5, 6, 0];
const NEW_HOURS = { fromMin: 8 * 60, toMin: 18 * 60 };
const STEP_MIN = 30;
const LEAST_MIN = 60;
const DAY_MIN = 24 * 60;
/** Of a day written out. */
const LONG_ENOUGH = 10;

/** Which days and hours the household gives; days it does not; at most so many a week. */
export function DaysScreen() {
  const { season } = useHousehold();
  const enter = useHouseholdStore((store) => store.enter);
  const { days } = season;
  const change = (part: Partial<DaysGiven>) => enter({ kind: 'season-days', days: { ...days, ...part } });
  const setHours = (weekday: number, hours: Omit<WeeklyHours, 'weekday'> | undefined) => {
    const others = days.weekly.filter((each) => each.weekday !== weekday);
    void change({ weekly: hours ? [...others, { weekday, ...hours }] : others });
  };
  return (
    <Screen station="plan" title="Days you give" note="the plan puts nothing on any other day" backTo="/plan/season">
      <View className="max-w-[640px] gap-5">
        <View className="gap-2">
          {ORDER.map((weekday) => {
            const hours = days.weekly.find((each) => each.weekday === weekday);
            return (
              <View key={weekday} className="gap-2">
                <CheckRow
                  words={WEEKDAYS[weekday] ?? ''}
                  note={hours ? `${timeOf(hours.fromMin)} to ${timeOf(hours.toMin)}` : 'not given'}
                  checked={hours !== undefined}
                  onPress={() => setHours(weekday, hours ? undefined : NEW_HOURS)}
                />
                {hours && (
                  <Hours name={WEEKDAYS[weekday] ?? ''} hours={hours} onChange={(next) => setHours(weekday, next)} />
                )}
              </View>
            );
          })}
        </View>
        <Stepper
          label="Preserving days a week at most"
          words={`at most ${days.mostAWeek} a week`}
          onLess={days.mostAWeek > 1 ? () => change({ mostAWeek: days.mostAWeek - 1 }) : undefined}
          onMore={days.mostAWeek < 7 ? () => change({ mostAWeek: days.mostAWeek + 1 }) : undefined}
        />
        <CountStepper
          label="Gallon bags the freezer has room for"
          count={days.freezerBags}
          of="gallon bags in the freezer"
          most={500}
          onCount={(freezerBags) => change({ freezerBags })}
        />
        <NotOn days={days} change={change} />
      </View>
    </Screen>
  );
}

function Hours({
  name,
  hours: { fromMin, toMin },
  onChange,
}: {
  name: string;
  hours: Omit<WeeklyHours, 'weekday'>;
  onChange: (hours: Omit<WeeklyHours, 'weekday'>) => void;
}) {
  const from = (by: number) => onChange({ fromMin: fromMin + by, toMin });
  const to = (by: number) => onChange({ fromMin, toMin: toMin + by });
  const canShrink = toMin - fromMin - STEP_MIN >= LEAST_MIN;
  return (
    <View className="gap-2 pl-9">
      <Stepper
        label={`${name} begins`}
        words={`from ${timeOf(fromMin)}`}
        onLess={fromMin >= STEP_MIN ? () => from(-STEP_MIN) : undefined}
        onMore={canShrink ? () => from(STEP_MIN) : undefined}
      />
      <Stepper
        label={`${name} ends`}
        words={`to ${timeOf(toMin)}`}
        onLess={canShrink ? () => to(-STEP_MIN) : undefined}
        onMore={toMin + STEP_MIN <= DAY_MIN ? () => to(STEP_MIN) : undefined}
      />
    </View>
  );
}

/** Days lost: a wedding, a fair, rain. */
function NotOn({ days, change }: { days: DaysGiven; change: (part: Partial<DaysGiven>) => void }) {
  const [typed, setTyped] = useState('');
  const today = isoDay(useNow(60_000));
  const written = /^\d{4}-\d{2}-\d{2}$/.test(typed.trim()) && !Number.isNaN(Date.parse(typed.trim()));
  // While it is typed it is not wrong yet.
  const wrong = typed.trim().length >= LONG_ENOUGH && !written;
  const add = () => {
    if (!written) return;
    change({ notOn: [...new Set([...days.notOn, typed.trim()])].sort() });
    setTyped('');
  };
  return (
    <View className="gap-2">
      <Heading>Not on these days</Heading>
      {days.notOn
        .filter((day) => day >= today)
        .map((day) => (
          <View key={day} className="flex-row items-center justify-between border-t border-hair">
            <Words>{dayShort(day)}</Words>
            <TextKey
              words="give it again"
              label={`Give ${dayShort(day)} again`}
              onPress={() => change({ notOn: days.notOn.filter((each) => each !== day) })}
            />
          </View>
        ))}
      <TextField label="A day, as 2026-08-29" value={typed} onChange={setTyped} wrong={wrong} />
      {wrong && <Words role="alert">A day is written 2026-08-29: year, month, day.</Words>}
      <Key look="outline" words="Not on this day" disabled={!written} onPress={add} />
    </View>
  );
}

/** "8:00 am", and midnight at the end of a day. */
function timeOf(minute: number): string {
  const hour = Math.floor(minute / 60) % 24;
  const words = `${((hour + 11) % 12) + 1}:${String(minute % 60).padStart(2, '0')} ${hour < 12 ? 'am' : 'pm'}`;
  return minute === DAY_MIN ? 'midnight' : words;
}
