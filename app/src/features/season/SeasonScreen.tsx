import { inZone } from '@/store/householdZone';
import { productRow } from '@hoddle/core/handbook/products';
import { produceRow } from '@hoddle/core/handbook/produce';
import { isoDay } from '@/ui/clockWords';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { useHousehold, useNow } from '@/store/useHousehold';
import { useMassWords } from '@/store/useUnits';
import { Key } from '@/ui/Key';
import { Plate } from '@/ui/Plate';
import { Screen } from '@/ui/Screen';
import { useIsWide } from '@/ui/StationBar';
import { Heading, Words } from '@/ui/Words';
import { GoalRows } from './GoalRows';
import { PlannedDays } from './PlannedDays';
import { PlanningPart } from './PlanningPart';
import { SeasonRibbon } from './SeasonRibbon';
import { useCropWeeks } from './useCropWeeks';
import { useRibbonDays } from './useRibbonDays';
import { usePlanBySelf, useSeason } from './useSeason';

/** The season: what comes, which days carry what, and how the goals fill. On a phone the next days stand below the ribbon. */
export function SeasonScreen() {
  const wide = useIsWide();
  const now = useNow(60_000);
  const season = useSeason();
  usePlanBySelf(season);
  const rows = useCropWeeks();
  const { plan } = season;
  const days = useRibbonDays(plan);
  const coming = plan?.days.filter(({ day }) => day >= isoDay(now)) ?? [];
  const year = inZone(now).getFullYear();
  const ribbon =
    rows.length === 0 ? (
      <Words className="py-3">With the first bed in the garden, its weeks stand here.</Words>
    ) : (
      <>
        <SeasonRibbon rows={rows} days={days} now={now} wide={wide} />
        <Words size="label" tone="ink-2" className="pb-2">
          Solid: picked. Hatched: expected, with its 8 in 10. Plates: preserving days; a tick is done, dashed is
          planned.
        </Words>
      </>
    );
  const goals = plan && plan.goals.length > 0 && (
    <Plate>
      <Heading className="pb-2">Jars wanted</Heading>
      <GoalRows goals={plan.goals} />
      <LeftOut />
    </Plate>
  );
  return (
    <Screen station="plan" title={`Season ${year}`} note={noteOf(plan)} backTo="/plan" bleed>
      <View className={wide ? 'flex-row gap-6 px-8' : 'gap-4 px-4'}>
        <View className={wide ? 'flex-1' : ''}>
          {ribbon}
          <View className="gap-4">
            <PlanningPart season={season} />
            <PlannedDays days={coming} season={season} />
            <Rests />
            <Ways />
          </View>
        </View>
        <View className={wide ? 'w-[420px]' : ''}>{goals || <NoGoals />}</View>
      </View>
    </Screen>
  );
}

function noteOf(plan: ReturnType<typeof useSeason>['plan']): string {
  if (!plan) return 'no plan yet';
  const kind = plan.cautious ? ', the cautious plan' : '';
  return `${plan.jars} jars in ${plan.days.length} days, about ${Math.round(plan.hours)} hours of hands${kind}`;
}

function NoGoals() {
  const router = useRouter();
  const { goals } = useHousehold();
  if (goals.some(({ jars }) => (jars ?? 0) > 0)) return null;
  return (
    <Plate className="gap-3">
      <Heading>What is wanted?</Heading>
      <Words>Say how many jars of each you want for a year; use so far proposes them. The plan goes by that.</Words>
      <Key words="Say what is wanted" onPress={() => router.navigate('/shelf/wanted')} />
    </Plate>
  );
}

/** What no recipe, canner or crop serves, said once. */
function LeftOut() {
  const { season } = useHousehold();
  const leftOut = season.plan?.leftOut ?? [];
  if (leftOut.length === 0) return null;
  return (
    <View className="gap-1 pt-3">
      <Words weight={700}>Left out of the plan</Words>
      {leftOut.map(({ product, jar, reason }) => (
        <Words key={`${product} ${jar}`} size="label">
          {productRow(product).name}: {reason}
        </Words>
      ))}
    </View>
  );
}

/** What nothing in the plan takes. */
function Rests() {
  const { season } = useHousehold();
  const mass = useMassWords();
  const rests = (season.plan?.rests ?? []).filter(({ leftKg, frozenKg }) => leftKg + frozenKg >= 0.5);
  if (rests.length === 0) return null;
  return (
    <Plate className="gap-1">
      <Heading>Left over</Heading>
      <Words size="label" tone="ink-2">
        More than the jars wanted take: eat fresh, give, sell or freeze.
      </Words>
      {rests.map(({ crop, leftKg, frozenKg }) => (
        <Words key={crop}>
          {produceRow(crop).name}:{' '}
          {[leftKg >= 0.5 && `${mass(leftKg)} to give or sell`, frozenKg >= 0.5 && `${mass(frozenKg)} to freeze`]
            .filter(Boolean)
            .join(', ')}
        </Words>
      ))}
    </Plate>
  );
}

function Ways() {
  const router = useRouter();
  return (
    <View className="flex-row flex-wrap gap-2">
      <Key look="outline" words="Days you give" onPress={() => router.navigate('/plan/days')} />
      <Key
        look="outline"
        words="On a page"
        onPress={() => router.navigate({ pathname: '/paper/[what]', params: { what: 'season' } })}
      />
      <Key look="outline" words="In your calendar" onPress={() => router.navigate('/plan/calendar')} />
      <Key look="outline" words="Shopping list" onPress={() => router.navigate('/plan/buy')} />
      <Key look="outline" words="What if" onPress={() => router.navigate('/plan/what-if')} />
      <Key look="outline" words="Jars wanted" onPress={() => router.navigate('/shelf/wanted')} />
      <Key look="outline" words="Next spring" onPress={() => router.navigate('/plan/spring')} />
      <Key look="outline" words="Years so far" onPress={() => router.navigate('/plan/years')} />
    </View>
  );
}
