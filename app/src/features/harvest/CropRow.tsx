import { produceRow } from '@hoddle/core/handbook/produce';
import { View } from 'react-native';
import { useMassWords } from '@/store/useUnits';
import { Basket } from '@/ui/Basket';
import { hueOfCrop } from '@/ui/colours';
import { Fuse } from '@/ui/Fuse';
import { RowLink } from '@/ui/RowLink';
import { Words } from '@/ui/Words';
import { keepingOf, PLACE_WORDS } from './keepingWords';
import { type CropOnHand } from './useOnHand';

/** A crop on hand with a burning fuse for each age; the whole row leads to what it makes. */
export function CropRow({ item, now }: { item: CropOnHand; now: number }) {
  const mass = useMassWords();
  const { crop, massKg, softKg, lots } = item;
  const { name } = produceRow(crop);
  const place = [...new Set(lots.map((lot) => PLACE_WORDS[lot.place]))].join(', ');
  const parts =
    softKg > 0.01 && massKg - softKg > 0.01 ? `${mass(massKg - softKg)} sound, ${mass(softKg)} soft` : place;
  return (
    <RowLink
      href={{ pathname: '/harvest/makes', params: { crop } }}
      label={`${name}, ${mass(massKg)}, ${lots.map((lot) => keepingOf(lot, now, mass).words).join(', ')}. See what it makes.`}
      className="py-2"
    >
      <View className="flex-row items-end gap-3">
        <Basket crop={crop} />
        <View className="flex-1 pb-1">
          <Words size="lead" weight={700}>
            {name}
          </Words>
          <Words size="label" tone="ink-2">
            {parts}
          </Words>
        </View>
        <View className="self-center">
          <Words size="head" weight={800}>
            {mass(massKg)}
          </Words>
        </View>
      </View>
      <View className="gap-[1px] pt-1">
        {lots.map((lot) => (
          <Fuse
            key={`${lot.pickId} ${lot.ripeness}`}
            hue={hueOfCrop(crop).hue}
            daysInAll={lot.keepsDays}
            {...keepingOf(lot, now, mass)}
          />
        ))}
      </View>
    </RowLink>
  );
}
