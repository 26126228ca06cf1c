import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { useNow } from '@/store/useHousehold';
import { useMassWords, useUnits } from '@/store/useUnits';
import { CropGlyph } from '@/ui/CropGlyph';
import { Key } from '@/ui/Key';
import { RowLink } from '@/ui/RowLink';
import { Screen } from '@/ui/Screen';
import { useIsWide } from '@/ui/StationBar';
import { Words } from '@/ui/Words';
import { BedCurve } from './BedCurve';
import { countWords, courseWords, rangeWords, weekAtWords } from '@/household/harvest/bedWords';
import { type BedForecast, useForecasts } from '@/household/harvest/useForecasts';

/** Every bed and tree with its season, the next to be picked first. */
export function GardenScreen() {
  const router = useRouter();
  const wide = useIsWide();
  const now = useNow(60_000);
  const beds = useForecasts().sort((a, b) => nextAt(a, now) - nextAt(b, now));
  return (
    <Screen
      station="harvest"
      title="Garden"
      note={beds.length === 0 ? 'Nothing set up yet.' : 'What is picked, and what is still to come'}
      backTo="/harvest"
      foot={<Key tall words="Add a bed or tree" onPress={() => router.navigate('/harvest/garden/new')} />}
    >
      {beds.length === 0 && (
        <Words className="pb-4">A bed, its crop, how many plants, and when it is picked. That is all it takes.</Words>
      )}
      <View className={wide ? 'flex-row flex-wrap gap-x-10' : ''}>
        {beds.map((bed) => (
          <View key={bed.planting.id} className={wide ? 'w-[47%]' : ''}>
            <BedRow bed={bed} now={now} />
          </View>
        ))}
      </View>
      <View className="flex-row pt-3">
        <Key look="outline" words="Next spring: what to set" onPress={() => router.navigate('/plan/spring')} />
      </View>
    </Screen>
  );
}

function BedRow({ bed, now }: { bed: BedForecast; now: number }) {
  const mass = useMassWords();
  const units = useUnits();
  const { planting, forecast } = bed;
  const next = forecast.weeks.find(({ expectedKg }) => expectedKg.p50 > 0.1);
  const isOver = forecast.remainingKg.p50 < 0.1;
  const words = isOver
    ? `${mass(forecast.pickedKg)} picked`
    : forecast.season.startAt > now
      ? `from ${weekAtWords(next?.startAt ?? forecast.season.startAt)}: ${rangeWords(forecast.remainingKg, units)}`
      : `${rangeWords(forecast.remainingKg, units)} to come`;
  return (
    <RowLink
      href={{ pathname: '/harvest/garden/[plantingId]', params: { plantingId: planting.id } }}
      className="gap-1 border-t border-hair py-2"
    >
      <View className="flex-row items-center gap-2">
        <CropGlyph crop={planting.crop} size={26} />
        <View className="flex-1">
          <Words size="lead" weight={700}>
            {planting.name}
          </Words>
          <Words size="label" tone="ink-2">
            {countWords(planting)}, {isOver && !forecast.finished ? 'over for this year' : courseWords(forecast)}
          </Words>
        </View>
      </View>
      <Words weight={700}>{words}</Words>
      <BedCurve bed={bed} now={now} />
    </RowLink>
  );
}

/** When a bed is next picked; those that are over come last. */
function nextAt({ forecast }: BedForecast, now: number): number {
  return forecast.remainingKg.p50 < 0.1 ? Infinity : Math.max(now, forecast.season.startAt);
}
