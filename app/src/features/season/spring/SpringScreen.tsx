import { productRow } from '@hoddle/core/handbook/products';
import { countJars } from '@hoddle/core/handbook/jars';
import { goalKey } from '@hoddle/core/season/problem/seasonProblem';
import { type Spring } from './useSpring';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { countWords } from '@/household/harvest/bedWords';
import { useHousehold } from '@/store/useHousehold';
import { useMassWords } from '@/store/useUnits';
import { CheckRow } from '@/ui/CheckRow';
import { Key } from '@/ui/Key';
import { Plate } from '@/ui/Plate';
import { Screen } from '@/ui/Screen';
import { useIsWide } from '@/ui/StationBar';
import { Heading, Words } from '@/ui/Words';
import { BedRow } from './BedRow';
import { SowingPart } from './SowingPart';
import { cropWords } from './springWords';
import { useSpring } from './useSpring';

/** The coming garden: from what is wanted, eaten and given by the beds back to what to set. */
export function SpringScreen() {
  const wide = useIsWide();
  const router = useRouter();
  const { goals } = useHousehold();
  const [kept, setKept] = useState<readonly string[]>([]);
  const spring = useSpring(kept);
  const asked = goals.some(({ jars, perMonth }) => (jars ?? 0) > 0 || (perMonth ?? 0) > 0);
  return (
    <Screen
      station="plan"
      title={spring ? `Garden ${spring.year}` : 'Next spring'}
      note="so much that it is enough in 8 years of 10"
      backTo="/plan/season"
    >
      <View className={wide ? 'flex-row gap-8' : 'gap-5'}>
        <View className={wide ? 'flex-1 gap-5' : 'gap-5'}>
          {!asked && (
            <Plate className="gap-3">
              <Words>Say how many jars you want for a year: the garden is worked out from them.</Words>
              <Key words="Say what is wanted" onPress={() => router.navigate('/shelf/wanted')} />
            </Plate>
          )}
          {asked && !spring && <Words role="status">Working out the beds…</Words>}
          {spring && <Beds spring={spring} />}
        </View>
        {spring && (
          <View className={wide ? 'w-[440px] gap-5' : 'gap-5'}>
            <SowingPart spring={spring} />
            <LeftOut spring={spring} kept={kept} setKept={setKept} />
          </View>
        )}
      </View>
    </Screen>
  );
}

function Beds({ spring: { beds, bought, jars } }: { spring: Spring }) {
  const mass = useMassWords();
  return (
    <>
      <View role="list" aria-label="What to set">
        {beds.map((bed) => (
          <BedRow key={bed.crop} bed={bed} jars={jars} />
        ))}
      </View>
      {beds.length + bought.length === 0 && (
        <Words>The shelf and what is on its way are enough: nothing has to grow for jars.</Words>
      )}
      {bought.length > 0 && (
        <View className="gap-1">
          <Heading>Bought, as nothing of it grows here</Heading>
          <Words>
            {bought.map((bed) => `${mass(bed.needKg.p50)} ${cropWords(bed).toLowerCase()}`).join(', ')}, to go with the
            rest.
          </Words>
        </View>
      )}
    </>
  );
}

/** What the garden is not planned for, and what nothing wanted takes. */
function LeftOut({
  spring: { notGrownFor, unused, jars },
  kept,
  setKept,
}: {
  spring: Spring;
  kept: readonly string[];
  setKept: (kept: readonly string[]) => void;
}) {
  const router = useRouter();
  const never = notGrownFor.filter(({ kind }) => kind === 'never-eaten');
  const cannot = notGrownFor.filter(({ kind }) => kind !== 'never-eaten');
  const tooMany = jars.filter(({ eaten }) => eaten !== undefined);
  const { goals } = useHousehold();
  const wantOf = (of: Parameters<typeof goalKey>[0]) => goals.find((goal) => goalKey(goal) === goalKey(of))?.jars ?? 0;
  const keptGoals = goals.filter((goal) => kept.includes(goalKey(goal)));
  if (never.length + cannot.length + tooMany.length + unused.length + keptGoals.length === 0) return null;
  return (
    <View className="gap-3">
      <Heading>What to leave out</Heading>
      {never.map((goal) => (
        <View key={goalKey(goal)} className="gap-1">
          <Words>
            <Words weight={700}>{productRow(goal.product).name}</Words>: {countJars(goal.jars, goal.jar)} stand there
            for most of a year, and none was eaten.
          </Words>
          <CheckRow
            words={`Grow for ${productRow(goal.product).name.toLowerCase()} all the same`}
            checked={false}
            onPress={() => setKept([...kept, goalKey(goal)])}
          />
        </View>
      ))}
      {keptGoals.map((goal) => (
        <CheckRow
          key={goalKey(goal)}
          words={`Grow for ${productRow(goal.product).name.toLowerCase()} all the same`}
          note="none was eaten for most of a year"
          checked
          onPress={() => setKept(kept.filter((key) => key !== goalKey(goal)))}
        />
      ))}
      {cannot.map((goal) => (
        <Words key={goalKey(goal)}>
          <Words weight={700}>{productRow(goal.product).name}</Words>: not counted. {goal.reason}
        </Words>
      ))}
      {unused.length > 0 && (
        <Words>
          <Words weight={700}>No jar takes</Words>{' '}
          {unused
            .map(
              (row) =>
                `${cropWords(row).toLowerCase()} (${countWords({ count: Math.round(row.now), unit: row.unit })})`,
            )
            .join(', ')}
          : only for the table, or not at all.
        </Words>
      )}
      {tooMany.map((goal) => (
        <Words key={goalKey(goal)}>
          <Words weight={700}>{productRow(goal.product).name}</Words>: {wantOf(goal)} are wanted, at most{' '}
          {countJars(goal.eaten ?? 0, goal.jar)} are eaten in a year, 8 years in 10.
        </Words>
      ))}
      <View className="flex-row">
        <Key look="outline" words="Change what is wanted" onPress={() => router.navigate('/shelf/wanted')} />
      </View>
    </View>
  );
}
