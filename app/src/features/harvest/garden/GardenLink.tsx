import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { useUnits } from '@/store/useUnits';
import { Key } from '@/ui/Key';
import { RowLink } from '@/ui/RowLink';
import { Heading, Words } from '@/ui/Words';
import { BedCurve } from './BedCurve';
import { rangeWords } from '@/household/harvest/bedWords';
import { type BedForecast, useForecasts, weekAt } from '@/household/harvest/useForecasts';

const SHOWN = 3;

/** What the garden gives this week, the most first; the way to all beds. */
export function GardenLink({ now }: { now: number }) {
  const router = useRouter();
  const units = useUnits();
  const beds = useForecasts();
  if (beds.length === 0) {
    return (
      <View className="gap-2 pt-5">
        <Heading>What is the garden going to give?</Heading>
        <Words>Set up beds and trees once; Hoddle draws the harvest and corrects it with every basket.</Words>
        <Key look="outline" words="Set up the garden" onPress={() => router.navigate('/harvest/garden/new')} />
      </View>
    );
  }
  const inSeason = beds
    .filter((bed) => expectedNow(bed, now) > 0.2)
    .sort((a, b) => expectedNow(b, now) - expectedNow(a, now));
  return (
    <View className="pt-5">
      <View className="flex-row items-center justify-between">
        <Heading>{inSeason.length > 0 ? 'Still to come this week' : 'Nothing ripens this week'}</Heading>
        <RowLink href="/harvest/garden" className="min-h-[48px] justify-center px-2">
          <Words tone="cobalt" weight={700}>
            All {beds.length} beds
          </Words>
        </RowLink>
      </View>
      {inSeason.slice(0, SHOWN).map((bed) => {
        const week = weekAt(bed, now);
        return (
          <RowLink
            key={bed.planting.id}
            href={{ pathname: '/harvest/garden/[plantingId]', params: { plantingId: bed.planting.id } }}
            className="border-t border-hair py-2"
          >
            <View className="flex-row items-baseline justify-between">
              <Words weight={700}>{bed.planting.name}</Words>
              <Words>{week ? rangeWords(week.expectedKg, units) : ''}</Words>
            </View>
            <BedCurve bed={bed} now={now} />
          </RowLink>
        );
      })}
    </View>
  );
}

function expectedNow(bed: BedForecast, now: number): number {
  return weekAt(bed, now)?.expectedKg.p50 ?? 0;
}
