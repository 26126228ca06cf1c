import { type SeasonReport } from '@hoddle/core/season/report/seasonReport';
import { WHAT_IFS, type WhatIf } from '@hoddle/core/season/problem/whatIf';
import { View } from 'react-native';
import { planningKey, type Planning, useSeasonStore } from '@/store/seasonStore';
import { Key } from '@/ui/Key';
import { Plate } from '@/ui/Plate';
import { Screen } from '@/ui/Screen';
import { Heading, Words } from '@/ui/Words';
import { useRouter } from 'expo-router';
import { batchGoalWords } from './whatIfWords';
import { useSeason } from './useSeason';

const WEEKS = 26;
const SECONDS = 8;

const IF_WORDS: Readonly<Record<WhatIf, readonly [head: string, note: string]>> = {
  'early-frost': ['Frost two weeks early', 'tender crops end; tomatoes from frosted vines are not offered'],
  'more-tomatoes': ['A third more tomatoes', '30 % more of what is still to come'],
  'second-canner': ['A second canner', 'one more like the first'],
  'more-hands': ['One more pair of hands', 'in the same hours'],
  'no-lids': ['No lids to be had', 'only those in the drawer'],
};

/** What might turn out otherwise, beside the plan: in jars and hours. Nothing here changes the plan, but the cautious one may. */
export function WhatIfScreen() {
  const { plan, take } = useSeason();
  const router = useRouter();
  const plannings = useSeasonStore((store) => store.plannings);
  const ask = useSeasonStore((store) => store.plan);
  const cautious = plannings[planningKey({ cautious: true })];
  return (
    <Screen
      station="plan"
      title="What if"
      note={plan ? `the plan: ${plan.jars} jars, ${Math.round(plan.hours)} h of hands` : 'no plan yet'}
      backTo="/plan/season"
    >
      <View className="max-w-[640px] gap-3">
        {!plan && <Words>Plan the season first: what might be otherwise is seen beside it.</Words>}
        {plan &&
          WHAT_IFS.map((whatIf) => (
            <IfPlate
              key={whatIf}
              words={IF_WORDS[whatIf]}
              plan={plan}
              planning={plannings[planningKey({ whatIf, cautious: false })]}
              onAsk={() => void ask({ weeks: WEEKS, seconds: SECONDS, whatIf, cautious: false })}
            />
          ))}
        {plan && (
          <IfPlate
            words={['A cautious plan', 'with less than the middle harvest and more pounds a jar: most years keep it']}
            plan={plan}
            planning={cautious}
            onAsk={() => void ask({ weeks: WEEKS, seconds: SECONDS, cautious: true })}
            onTake={(report) => {
              take(report);
              router.navigate('/plan/season');
            }}
          />
        )}
      </View>
    </Screen>
  );
}

interface IfPlateProps {
  words: readonly [head: string, note: string];
  plan: SeasonReport;
  planning: Planning | undefined;
  onAsk: () => void;
  onTake?: (report: SeasonReport) => void;
}

function IfPlate({ words: [head, note], plan, planning, onAsk, onTake }: IfPlateProps) {
  const report = planning?.state === 'done' ? planning.report : undefined;
  return (
    <Plate className="gap-2">
      <Heading>{head}</Heading>
      <Words size="label" tone="ink-2">
        {note}
      </Words>
      {report && (
        <View className="gap-1" aria-live="polite">
          <Words weight={800} size="lead">
            {signed(report.jars - plan.jars)} jars, {signed(Math.round(report.hours - plan.hours))} h
          </Words>
          {batchGoalWords(plan, report).map((line) => (
            <Words key={line} size="label">
              {line}
            </Words>
          ))}
        </View>
      )}
      {planning?.message !== undefined && <Words role="alert">{planning.message}</Words>}
      {planning?.state === 'planning' ? (
        <Words aria-live="polite">
          {Math.round(planning.seconds)} of {planning.asked.seconds} s
        </Words>
      ) : (
        <Key
          look="outline"
          words={report ? 'Ask again' : 'Ask'}
          label={`${report ? 'Ask again' : 'Ask'}: ${head}`}
          onPress={onAsk}
        />
      )}
      {report && onTake && <Key words="Take this plan" onPress={() => onTake(report)} />}
    </Plate>
  );
}

/** "+4", "-7", "no more, no fewer" is 0. */
function signed(value: number): string {
  return value > 0 ? `+${value}` : String(value);
}
