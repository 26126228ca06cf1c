import { type Errand, errandMinutes } from '@hoddle/core/day/errand';
import { DAY_MIN } from '@hoddle/core/day/kitchenSetup';
import { useState } from 'react';
import { View } from 'react-native';
import { ChipCheck } from '@/ui/ChipCheck';
import { ChipRadio } from '@/ui/ChipRadio';
import { Choice } from '@/ui/Choice';
import { duration, timeOfDay } from '@/ui/clockWords';
import { Key } from '@/ui/Key';
import { Plate } from '@/ui/Plate';
import { Stepper } from '@/ui/Stepper';
import { TextField } from '@/ui/TextField';
import { Heading, Words } from '@/ui/Words';
import { errandFault, WEEKDAYS } from '@/household/day/errandWords';

const MINUTE_MS = 60_000;
const HALF_HOUR = 30;
const STEP_MIN = 10;
const LONGEST_MIN = 12 * 60;

/** What people have to do besides, and how long that usually takes. Common practice. */
const USUAL = [
  { words: 'Town', minutes: 80, fromMin: 14 * 60, toMin: 17 * 60, atHome: false },
  { words: 'Milking', minutes: 60, fromMin: 17 * 60, toMin: 19 * 60, atHome: false },
  { words: 'Chores', minutes: 60, fromMin: 16 * 60, toMin: 19 * 60, atHome: false },
  { words: 'Dinner', minutes: 60, fromMin: 18 * 60, toMin: 20 * 60, atHome: true },
] as const;

export type ErrandDraft = Omit<Errand, 'id'>;

interface ErrandFormProps {
  title: string;
  cooks: readonly string[];
  first?: ErrandDraft;
  /** Whether it may be repeated: what is repeated already is changed for one day here. */
  mayRepeat: boolean;
  onKeep: (errand: ErrandDraft, weekdays: readonly number[]) => void;
  onLeave: () => void;
}

/** What somebody else has to do: what, who, how long, between when and when, and whether it comes again. */
export function ErrandForm({ title, cooks, first, mayRepeat, onKeep, onLeave }: ErrandFormProps) {
  const [draft, setDraft] = useState<ErrandDraft>(() => first ?? { ...USUAL[0], cook: cooks[0] ?? '' });
  const [weekdays, setWeekdays] = useState<readonly number[]>([]);
  const change = (part: Partial<ErrandDraft>) => setDraft((before) => ({ ...before, ...part }));
  const minutes = draft.minutes ?? draft.toMin - draft.fromMin;
  const fault = errandFault({ ...draft, minutes }) ?? (draft.words?.trim() ? undefined : 'Say what it is.');
  const move = (by: number) => {
    const next = minutes + by;
    return next >= STEP_MIN && next <= LONGEST_MIN ? () => change({ minutes: next }) : undefined;
  };
  const shift = (part: 'fromMin' | 'toMin', by: number) => {
    const next = draft[part] + by;
    return next >= 0 && next <= DAY_MIN ? () => change({ [part]: next, minutes }) : undefined;
  };
  return (
    <Plate className="gap-3">
      <Heading>{title}</Heading>
      <View className="flex-row flex-wrap gap-2" role="group" aria-label="Usual ones">
        {USUAL.map((usual) => (
          <ChipRadio
            key={usual.words}
            words={usual.words}
            chosen={draft.words === usual.words}
            onPress={() => change({ ...usual })}
          />
        ))}
      </View>
      <TextField label="What" value={draft.words ?? ''} onChange={(words) => change({ words })} />
      {cooks.length > 1 && (
        <Choice
          label="Who"
          value={draft.cook}
          options={cooks.map((name) => ({ value: name, words: name }))}
          onChoose={(cook) => change({ cook })}
        />
      )}
      <Stepper
        label="How long"
        words={`takes ${duration(minutes * MINUTE_MS)}`}
        onLess={move(-STEP_MIN)}
        onMore={move(STEP_MIN)}
      />
      <Stepper
        label="Not before"
        words={`not before ${timeOfDay(draft.fromMin)}`}
        onLess={shift('fromMin', -HALF_HOUR)}
        onMore={shift('fromMin', HALF_HOUR)}
      />
      <Stepper
        label="Back by"
        words={`back by ${timeOfDay(draft.toMin)}`}
        onLess={shift('toMin', -HALF_HOUR)}
        onMore={shift('toMin', HALF_HOUR)}
      />
      <ChipCheck
        words="at home: can watch a pot"
        checked={draft.atHome}
        onPress={() => change({ atHome: !draft.atHome })}
      />
      {mayRepeat && (
        <View className="gap-1">
          <Words weight={600}>{weekdays.length === 0 ? 'Only on this day' : 'Every week on'}</Words>
          <View className="flex-row flex-wrap gap-2" role="group" aria-label="Repeated on">
            {WEEKDAYS.map((words, day) => (
              <ChipCheck
                key={words}
                words={words}
                checked={weekdays.includes(day)}
                onPress={() =>
                  setWeekdays(weekdays.includes(day) ? weekdays.filter((other) => other !== day) : [...weekdays, day])
                }
              />
            ))}
          </View>
        </View>
      )}
      {fault !== undefined && (
        <Words role="alert" weight={700}>
          {fault}
        </Words>
      )}
      <Key
        words="Put it into the day"
        disabled={fault !== undefined}
        onPress={() => onKeep(whole({ ...draft, minutes, words: draft.words?.trim() }), weekdays)}
      />
      <Key look="outline" words="Leave it" onPress={onLeave} />
    </Plate>
  );
}

/** What takes all of its time says so by having no minutes of its own. */
function whole({ minutes, ...errand }: ErrandDraft): ErrandDraft {
  const isAll = errandMinutes({ ...errand, id: '', minutes }) === errand.toMin - errand.fromMin;
  return isAll ? errand : { ...errand, minutes };
}
