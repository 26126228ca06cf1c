import { inZone } from '@/store/householdZone';
import { jarsOf, nameOf, jarsWords } from '@hoddle/core/day/batch';
import { IN_CANNER } from '@hoddle/core/kitchen/dayClose';
import { produceRow } from '@hoddle/core/handbook/produce';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { useUnwritten } from '@/household/harvest/BatchesToWrite';
import { FrozenAsks } from '@/features/harvest/FrozenPart';
import { LeftPart } from '@/features/harvest/LeftPart';
import { keepingOf } from '@/household/harvest/keepingWords';
import { type CropOnHand, useOnHand } from '@/household/harvest/useOnHand';
import { type Day, hasPlan } from '@hoddle/core/kitchen/dayInHand';
import { useDay } from '@/household/day/useDay';
import { RefrigeratorPart } from '@/features/instruments/RefrigeratorPart';
import { ShellPart } from '@/features/signal/ShellPart';
import { SeasonLink } from '@/household/season/SeasonLink';
import { LidsToPress } from '@/features/pantry/LidsToPress';
import { useHousehold, useNow } from '@/store/useHousehold';
import { useMassWords } from '@/store/useUnits';
import { altitudeWords } from '@/ui/amountWords';
import { clockTimeFrom, longDay, weekday } from '@/ui/clockWords';
import { hueOfProduct } from '@/ui/colours';
import { JarDrawing } from '@/ui/JarDrawing';
import { Key } from '@/ui/Key';
import { Plate } from '@/ui/Plate';
import { RowLink } from '@/ui/RowLink';
import { Screen } from '@/ui/Screen';
import { useIsWide } from '@/ui/StationBar';
import { Heading, Words } from '@/ui/Words';
import { isSameDay } from 'date-fns/isSameDay';
import { OnHandPart } from './OnHandPart';
import { SlowPart } from './SlowPart';

/** What burns, what is planned, what cools: the first look in the morning. */
export function TodayScreen() {
  const router = useRouter();
  const wide = useIsWide();
  const now = useNow(30_000);
  const { household } = useHousehold();
  const crops = useOnHand();
  const day = useDay();
  const altitude =
    household.altitudeFt === null ? 'altitude not set' : altitudeWords(household.altitudeFt, household.units);
  return (
    <Screen station="today" title={longDay(now)} note={[household.name, altitude].filter(Boolean).join(', ')} bleed>
      <View className={wide ? 'flex-row gap-10 px-8' : ''}>
        <View className={wide ? 'flex-1' : 'px-4'}>
          {household.altitudeFt === null || household.canners.length === 0 ? <SetUp /> : null}
          <OnHandPart crops={crops} now={now} />
          <LeftPart now={now} />
          {crops.length === 0 && (
            <View className="gap-3 py-3">
              <Words>Nothing on hand is waiting for jars.</Words>
              <Key words="What came in?" onPress={() => router.navigate('/harvest/pick')} />
            </View>
          )}
        </View>
        <View className={wide ? 'flex-1' : 'pt-3'}>
          {day && <DayPlate day={day} now={now} />}
          {day?.live && <SlowPart day={day} live={day.live} now={now} />}
          {!day?.loads.some(({ phase }) => phase === 'planned') && crops[0] && <NextPlate item={crops[0]} now={now} />}
          <RefrigeratorPart />
          <ShellPart />
          <LidsToPress now={now} />
          <ToWriteDown />
          <FrozenAsks />
          <View className="px-4 pb-3">
            <SeasonLink />
          </View>
        </View>
      </View>
    </Screen>
  );
}

function DayPlate({ day, now }: { day: Day; now: number }) {
  const router = useRouter();
  const running = day.loads.find(({ phase }) => IN_CANNER.includes(phase));
  const next = running ?? day.loads.find(({ phase }) => phase === 'planned');
  if (!next) return null;
  const jars = day.batches.reduce((sum, batch) => sum + jarsOf(batch), 0);
  const count = `${day.loads.length} ${day.loads.length === 1 ? 'load' : 'loads'}`;
  const when = isSameDay(inZone(day.startAt), inZone(now)) ? 'Today' : weekday(day.startAt);
  const open = () => router.navigate('/kitchen');
  return (
    <View className="px-4 pb-3">
      <Plate className="gap-3">
        <View>
          <Heading>
            {when}: {jars} jars in {count}
          </Heading>
          {hasPlan(day) && (
            <Words>
              Likely <Words weight={700}>{clockTimeFrom(day.likelyAt, day.startAt)}</Words>, 9 in 10 by{' '}
              <Words weight={700}>{clockTimeFrom(day.lateAt, day.startAt)}</Words>
            </Words>
          )}
        </View>
        {day.batches.map((batch) => (
          <View key={batch.id} className="flex-row items-center gap-3">
            <JarDrawing size={batch.jar} quartPx={38} look="planned" {...hueOfProduct(batch.product)} />
            <Words weight={600} className="flex-1">
              {jarsWords(batch)} {nameOf(batch).toLowerCase()}
            </Words>
          </View>
        ))}
        <View className="flex-row gap-3">
          <Key className="flex-1" words={day.live ? 'To the kitchen' : 'Start the day'} onPress={open} />
          <Key className="flex-1" look="outline" words="See the day" onPress={() => router.navigate('/plan')} />
        </View>
      </Plate>
    </View>
  );
}

/** With nothing planned: begin with what spoils first and can go into jars. */
function NextPlate({ item, now }: { item: CropOnHand; now: number }) {
  const mass = useMassWords();
  const router = useRouter();
  const { name } = produceRow(item.crop);
  const lot = item.lots[0];
  return (
    <View className="px-4 pb-3">
      <Plate className="gap-3">
        <View>
          <Heading>Next: {name.toLowerCase()}</Heading>
          <Words>{lot ? `${keepingOf(lot, now, mass).words}: the first to spoil of what is on hand.` : ''}</Words>
        </View>
        <Key
          words="See what they make"
          onPress={() => router.navigate({ pathname: '/harvest/makes', params: { crop: item.crop } })}
        />
      </Plate>
    </View>
  );
}

/** The newest batch that is out of the canner and not written down: it makes the next estimate better. */
function ToWriteDown() {
  const batch = useUnwritten().at(-1);
  if (!batch) return null;
  return (
    <RowLink
      href={{ pathname: '/harvest/batch', params: { batch: batch.id } }}
      className="mx-4 min-h-[56px] justify-center border-t border-hair py-2"
    >
      <Words size="lead" weight={700} tone="cobalt">
        Write down what it made
      </Words>
      <Words tone="ink-2">
        {jarsWords(batch)} {nameOf(batch).toLowerCase()}: the next estimate learns from it
      </Words>
    </RowLink>
  );
}

function SetUp() {
  const router = useRouter();
  return (
    <Plate className="mb-3 gap-3">
      <Heading>Where is your kitchen?</Heading>
      <Words>Boiling times go by altitude, loads by the canner. Both are set once.</Words>
      <Key words="Set altitude and canner" onPress={() => router.navigate('/bench/household')} />
    </Plate>
  );
}
