import { type JarSize, JARS } from '@hoddle/core/handbook/jars';
import { type ProductId } from '@hoddle/core/handbook/products';
import { type Forecast } from '@hoddle/core/pantry/forecast';
import { MOST_JARS } from '@hoddle/core/pantry/jarLot';
import { PRIORITIES, type ShelfGoal } from '@hoddle/core/pantry/shelfGoal';
import { View } from 'react-native';
import { useHouseholdStore } from '@/store/householdStore';
import { useHousehold } from '@/store/useHousehold';
import { Choice } from '@/ui/Choice';
import { Key } from '@/ui/Key';
import { CountStepper } from '@/ui/CountStepper';
import { Stepper } from '@/ui/Stepper';
import { Heading, Words } from '@/ui/Words';

const PRIORITY_WORDS = { staple: 'a staple', want: 'wanted', gift: 'gift or sale' } as const;

const MONTHS_A_WEEK = 12 / 52;

/** Jars wanted for a year, with what is proposed from use; and what the household says it uses, until the shelf knows. */
export function GoalPart({
  product,
  jar,
  forecast,
}: {
  product: ProductId;
  jar: JarSize;
  forecast: Forecast | undefined;
}) {
  const { goals, household } = useHousehold();
  const enter = useHouseholdStore((store) => store.enter);
  const goal = goals.find((each) => each.product === product && each.jar === jar);
  const jars = goal?.jars ?? null;
  const perMonth = goal?.perMonth ?? null;
  const priority = goal?.priority ?? 'want';
  const change = (part: Partial<Pick<ShelfGoal, 'jars' | 'perMonth' | 'priority'>>) =>
    enter({ kind: 'goal', goal: { product, jar, jars, perMonth, priority, ...part } });
  const proposed = forecast?.proposedGoal;
  const aWeek = perMonth === null ? null : Math.round(perMonth * MONTHS_A_WEEK * 4) / 4;
  const setWeek = (next: number) => change({ perMonth: next <= 0 ? null : next / MONTHS_A_WEEK });
  const { one, several } = JARS[jar];
  return (
    <View className="gap-3">
      <Heading>Wanted for a year</Heading>
      <CountStepper
        label={`${several} wanted`}
        count={jars ?? undefined}
        of={jars === null ? `${several}, not said` : jars === 1 ? one : several}
        most={MOST_JARS}
        onCount={(wanted) => change({ jars: wanted === 0 ? null : wanted })}
      />
      <Choice
        label="How much it matters"
        options={PRIORITIES.map((each) => ({ value: each, words: PRIORITY_WORDS[each] }))}
        value={priority}
        onChoose={(next) => change({ priority: next })}
      />
      {proposed !== undefined && proposed > 0 && proposed !== jars && (
        <Key look="outline" words={`Take ${proposed}, from what you use`} onPress={() => change({ jars: proposed })} />
      )}
      {proposed !== undefined && (
        <Words size="label" tone="ink-2">
          Proposed: enough for eight years of ten between two crops, and never more than is eaten in its{' '}
          {household.bestMonths} best months.
        </Words>
      )}
      <Words weight={600}>You say you use</Words>
      <Stepper
        label={`${several} used a week, as you say`}
        words={aWeek === null ? 'nothing said' : `${quarters(aWeek)} ${aWeek <= 1 ? one : several} a week`}
        onLess={aWeek === null ? undefined : () => setWeek(aWeek - 0.25)}
        onMore={() => setWeek((aWeek ?? 0) + 0.25)}
      />
    </View>
  );
}

function quarters(value: number): string {
  const whole = Math.floor(value);
  const part = ['', '1/4', '1/2', '3/4'][Math.round((value - whole) * 4)] ?? '';
  return [whole > 0 || part === '' ? String(whole) : '', part].filter(Boolean).join(' ');
}
