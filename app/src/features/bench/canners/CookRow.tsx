import { type Kitchen, MOST_BREAKS } from '@hoddle/contract/household';
import { freeBreak } from '@hoddle/core/day/freeBreak';
import { type Break, DAY_MIN } from '@hoddle/core/day/kitchenSetup';
import { useState } from 'react';
import { View } from 'react-native';
import { ChipCheck } from '@/ui/ChipCheck';
import { SmallKey } from '@/ui/SmallKey';
import { Stepper } from '@/ui/Stepper';
import { TextKey } from '@/ui/TextKey';
import { WEEKDAYS } from '@/household/day/errandWords';
import { timeOfDay } from '@/ui/clockWords';
import { Words } from '@/ui/Words';

type Cook = Kitchen['cooks'][number];

const HALF_HOUR = 30;
const TEN_MIN = 10;
const CHORES: Break = { fromMin: 17 * 60, toMin: 18 * 60, atHome: false, words: 'Chores' };
const DINNER: Break = { fromMin: 18 * 60 + 30, toMin: 19 * 60 + 30, atHome: true, words: 'Dinner' };

interface CookRowProps {
  cook: Cook;
  onKeep: (cook: Cook) => void;
  /** Undefined for the only pair of hands. */
  onGone?: () => void;
}

/** One pair of hands: its hours, its breaks. Nothing of it is struck out by one tap for good. */
export function CookRow({ cook, onKeep, onGone }: CookRowProps) {
  const { name, fromMin, toMin, breaks } = cook;
  const [goes, setGoes] = useState(false);
  const [struck, setStruck] = useState<Break>();
  const keepBreaks = (next: Break[]) => onKeep({ ...cook, breaks: next.sort((a, b) => a.fromMin - b.fromMin) });
  const add = (wished: Break) => {
    const own = breaks.length < MOST_BREAKS ? freeBreak(cook, wished) : undefined;
    if (own) keepBreaks([...breaks, own]);
  };
  return (
    <View role="listitem" className="gap-2 border-t border-hair pt-2">
      <View className="flex-row items-center justify-between">
        <Words weight={700}>{name}</Words>
        {onGone && !goes && (
          <TextKey words="Not here any more" label={`${name} is not here any more`} onPress={() => setGoes(true)} />
        )}
      </View>
      {goes && onGone && (
        <View className="gap-2" role="alert">
          <Words weight={700}>
            {name} and these hours go out of every plan for good. For one day, say so on that day in the kitchen.
          </Words>
          <View className="flex-row gap-3">
            <SmallKey words="Take out" onPress={onGone} />
            <SmallKey words="Keep" onPress={() => setGoes(false)} />
          </View>
        </View>
      )}
      <Stepper
        label={`${name} begins`}
        words={`from ${timeOfDay(fromMin)}`}
        onLess={fromMin > 0 ? () => onKeep({ ...cook, fromMin: fromMin - HALF_HOUR }) : undefined}
        onMore={fromMin + HALF_HOUR < toMin ? () => onKeep({ ...cook, fromMin: fromMin + HALF_HOUR }) : undefined}
      />
      <Stepper
        label={`${name} ends`}
        words={`to ${timeOfDay(toMin)}`}
        onLess={toMin - HALF_HOUR > fromMin ? () => onKeep({ ...cook, toMin: toMin - HALF_HOUR }) : undefined}
        onMore={toMin + HALF_HOUR <= DAY_MIN ? () => onKeep({ ...cook, toMin: toMin + HALF_HOUR }) : undefined}
      />
      {breaks.map((pause, i) => (
        <BreakRow
          key={i}
          name={name}
          pause={pause}
          onKeep={(next) => onKeep({ ...cook, breaks: breaks.map((other, k) => (k === i ? next : other)) })}
          onGone={() => {
            setStruck(pause);
            keepBreaks(breaks.filter((_, k) => k !== i));
          }}
        />
      ))}
      {struck && (
        <View role="status" className="flex-row items-center justify-between">
          <Words tone="ink-2">
            {timeOfDay(struck.fromMin)} to {timeOfDay(struck.toMin)} is struck out
          </Words>
          <TextKey
            words="Bring it back"
            label={`Bring back the break at ${timeOfDay(struck.fromMin)}`}
            onPress={() => {
              add(struck);
              setStruck(undefined);
            }}
          />
        </View>
      )}
      <View className="flex-row gap-4">
        <TextKey words="Chores" label={`${name}: an hour of chores at 5 pm`} onPress={() => add(CHORES)} />
        <TextKey words="Dinner" label={`${name}: dinner at 6:30 pm`} onPress={() => add(DINNER)} />
      </View>
    </View>
  );
}

interface BreakRowProps {
  name: string;
  pause: Break;
  onKeep: (pause: Break) => void;
  onGone: () => void;
}

function BreakRow({ name, pause, onKeep, onGone }: BreakRowProps) {
  const { fromMin, toMin, atHome, words, weekdays } = pause;
  const wholeMin = toMin - fromMin;
  const minutes = Math.min(pause.minutes ?? wholeMin, wholeMin);
  const take = (next: number) => onKeep({ ...pause, minutes: next < wholeMin ? next : undefined });
  const on = (day: number) => {
    const now = weekdays ?? WEEKDAYS.map((_, own) => own);
    const next = now.includes(day) ? now.filter((own) => own !== day) : [...now, day];
    if (next.length > 0) onKeep({ ...pause, weekdays: next.length === WEEKDAYS.length ? undefined : next });
  };
  // The times are told once the window is changed: what takes all of it goes on taking all of it.
  const within = (next: Break): Break => ({
    ...next,
    minutes: next.minutes !== undefined && next.minutes < next.toMin - next.fromMin ? next.minutes : undefined,
  });
  const said = `${name}’s break at ${timeOfDay(fromMin)}`;
  return (
    <View className="gap-2 border-l-2 border-hair pl-3">
      {words !== undefined && <Words weight={600}>{words}</Words>}
      <Stepper
        label={`${said} begins`}
        words={`away from ${timeOfDay(fromMin)}`}
        onLess={fromMin >= HALF_HOUR ? () => onKeep(within({ ...pause, fromMin: fromMin - HALF_HOUR })) : undefined}
        onMore={
          fromMin + HALF_HOUR < toMin ? () => onKeep(within({ ...pause, fromMin: fromMin + HALF_HOUR })) : undefined
        }
      />
      <Stepper
        label={`${said} ends`}
        words={`back at ${timeOfDay(toMin)}`}
        onLess={toMin - HALF_HOUR > fromMin ? () => onKeep(within({ ...pause, toMin: toMin - HALF_HOUR })) : undefined}
        onMore={toMin + HALF_HOUR <= DAY_MIN ? () => onKeep(within({ ...pause, toMin: toMin + HALF_HOUR })) : undefined}
      />
      <Stepper
        label={`${said} takes`}
        words={minutes < wholeMin ? `takes ${minutes} min of it` : 'takes all of it'}
        onLess={minutes > TEN_MIN ? () => take(minutes - TEN_MIN) : undefined}
        onMore={minutes < wholeMin ? () => take(minutes + TEN_MIN) : undefined}
      />
      <View className="flex-row flex-wrap gap-2" role="group" aria-label={`${said}: on`}>
        {WEEKDAYS.map((name, day) => (
          <ChipCheck key={name} words={name} checked={weekdays?.includes(day) ?? true} onPress={() => on(day)} />
        ))}
      </View>
      <View className="flex-row flex-wrap items-center justify-between">
        <ChipCheck
          words="at home: can watch a pot"
          checked={atHome}
          onPress={() => onKeep({ ...pause, atHome: !atHome })}
        />
        <TextKey words="Strike out" label={`Strike out the break at ${timeOfDay(fromMin)}`} onPress={onGone} />
      </View>
    </View>
  );
}
