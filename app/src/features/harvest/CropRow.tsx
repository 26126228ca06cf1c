import ChevronRight from 'lucide-react-native/icons/chevron-right';
import { produceRow } from '@hoddle/core/handbook/produce';
import { View } from 'react-native';
import { useMassWords } from '@/store/useUnits';
import { Basket } from '@/ui/Basket';
import { COLOURS, hueOfCrop } from '@/ui/colours';
import { Fuse } from '@/ui/Fuse';
import { RowLink } from '@/ui/RowLink';
import { Words } from '@/ui/Words';
import { keepingOf, PLACE_NAMES, PLACE_WORDS } from '@/household/harvest/keepingWords';
import { type CropOnHand, lotKey } from '@/household/harvest/useOnHand';

interface CropRowProps {
  item: CropOnHand;
  now: number;
  /** Each fuse leads to its lot. */
  lotsOpen?: boolean;
}

/** A crop on hand with a burning fuse for each age; the whole row leads to what it makes. */
export function CropRow({ item, now, lotsOpen }: CropRowProps) {
  const mass = useMassWords();
  const { crop, massKg, softKg, lots } = item;
  const { name } = produceRow(crop);
  const place = [...new Set(lots.map((lot) => PLACE_WORDS[lot.place]))].join(', ');
  const parts =
    softKg > 0.01 && massKg - softKg > 0.01 ? `${mass(massKg - softKg)} sound, ${mass(softKg)} soft` : place;
  const fuses = lots.map((lot) => {
    const keeping = keepingOf(lot, now, mass);
    const fuse = <Fuse hue={hueOfCrop(crop).hue} daysInAll={lot.keepsDays} {...keeping} />;
    if (!lotsOpen) return <View key={lotKey(lot)}>{fuse}</View>;
    return (
      <RowLink
        key={lotKey(lot)}
        href={{ pathname: '/harvest/lot/[lot]', params: { lot: lotKey(lot) } }}
        label={`${mass(lot.massKg)} ${name.toLowerCase()}, ${lot.ripeness}, ${PLACE_NAMES[lot.place]}, ${keeping.words}. Carry or end this lot.`}
        className="min-h-[48px] flex-row items-center"
      >
        <View className="flex-1">{fuse}</View>
        <ChevronRight size={22} color={COLOURS.cobalt} strokeWidth={2.4} />
      </RowLink>
    );
  });
  return (
    <View className="py-2">
      <RowLink
        href={{ pathname: '/harvest/makes', params: { crop } }}
        label={`${name}, ${mass(massKg)}, ${lots.map((lot) => keepingOf(lot, now, mass).words).join(', ')}. See what it makes.`}
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
        {!lotsOpen && <View className="gap-[1px] pt-1">{fuses}</View>}
      </RowLink>
      {lotsOpen && fuses}
    </View>
  );
}
