import { type ReportedDay } from '@hoddle/core/season/report/seasonReport';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { useHouseholdStore } from '@/store/householdStore';
import { useHousehold } from '@/store/useHousehold';
import { useMassWords } from '@/store/useUnits';
import { duration } from '@/ui/clockWords';
import { hueOfProduct } from '@/ui/colours';
import { CheckRow } from '@/ui/CheckRow';
import { JarTray } from '@/ui/JarTray';
import { Key } from '@/ui/Key';
import { Screen } from '@/ui/Screen';
import { Heading, Words } from '@/ui/Words';
import { reportedJars, madeOfWords } from '@hoddle/core/season/report/reportedWords';
import { dayShort, takingWords } from '@/household/season/seasonWords';
import { useOpenDay } from './useOpenDay';
import { type Season, useSeason } from './useSeason';

const MINUTE_MS = 60_000;
/** Jars drawn in a row; more of them are told in figures only. */
const MOST_DRAWN = 14;

/** One day of the season's plan: what it makes of what, what is pinned, and the way into the kitchen. */
export function SeasonDayScreen({ day: id }: { day: string }) {
  const season = useSeason();
  const day = season.plan?.days.find((each) => each.day === id);
  if (!day) {
    return (
      <Screen station="plan" title={dayShort(id)} backTo="/plan/season">
        <Words>Nothing is planned on this day any more.</Words>
      </Screen>
    );
  }
  return <PlannedDay day={day} season={season} />;
}

function PlannedDay({ day, season }: { day: ReportedDay; season: Season }) {
  const router = useRouter();
  const mass = useMassWords();
  const { batches, open } = useOpenDay(day);
  const ready = batches.filter((each) => each.ready).length;
  const jars = day.batches.reduce((sum, batch) => sum + batch.jars, 0);
  const words = ready === batches.length ? 'Open the day' : `Open the day with ${ready} of ${batches.length}`;
  const { season: kept } = useHousehold();
  const enter = useHouseholdStore((store) => store.enter);
  const loseDay = () => {
    void enter({
      kind: 'season-days',
      days: { ...kept.days, notOn: [...new Set([...kept.days.notOn, day.day])].sort() },
    });
    season.planNow();
    router.navigate('/plan/season');
  };
  const openDay = () => {
    open();
    router.navigate('/plan');
  };
  return (
    <Screen
      station="plan"
      title={`${dayShort(day.day)}, ${jars} jars`}
      note={`${duration(Math.round(day.handsMinutes) * MINUTE_MS)} of hands in ${duration(day.windowMinutes * MINUTE_MS)}`}
      backTo="/plan/season"
      foot={ready > 0 ? <Key tall words={words} onPress={openDay} /> : undefined}
    >
      <View className="max-w-[640px] gap-4">
        {ready < batches.length && (
          <Words tone="ink-2">
            What is not picked yet is planned from what the beds should give; the day opens with what is on hand.
          </Words>
        )}
        {batches.map(({ batch, ready: isReady }) => {
          const pinned = season.pins.some((pin) => pin.day === day.day && pin.recipe === batch.recipe);
          return (
            <View key={batch.recipe} className="gap-2 border-t border-hair pt-3">
              <Heading>{reportedJars(batch)}</Heading>
              <Words>
                {madeOfWords(batch, mass)}. {batch.loads} {batch.loads === 1 ? 'load' : 'loads'},{' '}
                {duration(Math.round(batch.handsMinutes) * MINUTE_MS)} of hands
                {isReady ? ', all on hand' : ''}.
              </Words>
              {batch.overnight && <Words weight={600}>Stands overnight: its jars are filled the next morning.</Words>}
              {batch.jars <= MOST_DRAWN && (
                <JarTray
                  size={batch.jar}
                  jars={batch.jars}
                  places={batch.jars}
                  quartPx={34}
                  {...hueOfProduct(batch.product)}
                />
              )}
              <CheckRow
                words="Keep it on this day"
                note="whatever else is planned again"
                checked={pinned}
                onPress={() => season.pin(day.day, batch, !pinned)}
              />
            </View>
          );
        })}
        <View className="gap-1 border-t border-hair pt-3">
          <Heading>Its produce</Heading>
          {day.takings.map((taking) => (
            <Words key={taking.crop}>{takingWords(taking, mass)}.</Words>
          ))}
        </View>
        <Key look="outline" words="This day is lost: plan again" onPress={loseDay} />
      </View>
    </Screen>
  );
}
