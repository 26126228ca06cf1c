import { hueOfCrop } from '@/ui/colours';
import { useMassWords, useUnits } from '@/store/useUnits';
import { Fuse } from '@/ui/Fuse';
import { RowLink } from '@/ui/RowLink';
import { Heading, Words } from '@/ui/Words';
import { View } from 'react-native';
import { keepingOf, lotAmount, lotName, PLACE_NAMES } from '@/household/harvest/keepingWords';
import { lotKey, useLeftBehind } from '@/household/harvest/useOnHand';

/** Peels, pulp, juice and brine that were kept for something, each with its fuse; nothing while there is none. */
export function LeftPart({ now }: { now: number }) {
  const mass = useMassWords();
  const units = useUnits();
  const lots = useLeftBehind();
  if (lots.length === 0) return null;
  return (
    <View className="pt-4">
      <Heading>Left over, kept for something</Heading>
      {lots.map((lot) => {
        const keeping = keepingOf(lot, now, mass);
        return (
          <RowLink
            key={lotKey(lot)}
            href={{ pathname: '/harvest/lot/[lot]', params: { lot: lotKey(lot) } }}
            label={`${lotAmount(lot, units)} ${lotName(lot)}, ${PLACE_NAMES[lot.place]}, ${keeping.words}. See what it makes, or end it.`}
            className="min-h-[56px] justify-center border-t border-hair py-1"
          >
            <View className="flex-row items-baseline gap-2">
              <Words weight={600} className="flex-1">
                {lotName(lot).replace(/^./, (letter) => letter.toUpperCase())}
              </Words>
              <Words size="label" tone="ink-2">
                {PLACE_NAMES[lot.place]}
              </Words>
              <Words weight={700}>{lotAmount(lot, units)}</Words>
            </View>
            <Fuse hue={hueOfCrop(lot.crop).hue} daysInAll={lot.keepsDays} {...keeping} />
          </RowLink>
        );
      })}
    </View>
  );
}
