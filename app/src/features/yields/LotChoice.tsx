import ChevronDown from 'lucide-react-native/icons/chevron-down';
import ChevronUp from 'lucide-react-native/icons/chevron-up';
import { produceRow } from '@hoddle/core/handbook/produce';
import { type Lot } from '@hoddle/core/harvest/onHand';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { PLACE_NAMES } from '@/household/harvest/keepingWords';
import { lotKey } from '@/household/harvest/useOnHand';
import { useMassWords } from '@/store/useUnits';
import { CheckRow } from '@/ui/CheckRow';
import { COLOURS } from '@/ui/colours';
import { Words } from '@/ui/Words';

interface LotChoiceProps {
  lots: readonly Lot[];
  chosen: ReadonlySet<string>;
  onToggle: (key: string) => void;
}

/** Which lots are meant: folded to a line, every lot of the house behind it. */
export function LotChoice({ lots, chosen, onToggle }: LotChoiceProps) {
  const mass = useMassWords();
  const [open, setOpen] = useState(false);
  const some = lots.filter((lot) => chosen.has(lotKey(lot)));
  const line = some.map((lot) => `${mass(lot.massKg)} ${lot.ripeness}`).join(' + ');
  return (
    <View className="gap-2 pb-2">
      <Pressable
        role="button"
        aria-expanded={open}
        aria-label={`From ${some.length === 0 ? 'no lot' : line}. Choose lots.`}
        onPress={() => setOpen(!open)}
        className="min-h-[48px] flex-row items-center justify-between gap-2"
      >
        <Words weight={600} className="flex-1">
          From {some.length === 0 ? 'nothing yet' : line}
        </Words>
        {open ? <ChevronUp color={COLOURS.cobalt} /> : <ChevronDown color={COLOURS.cobalt} />}
      </Pressable>
      {open &&
        lots.map((lot) => (
          <CheckRow
            key={lotKey(lot)}
            checked={chosen.has(lotKey(lot))}
            words={`${mass(lot.massKg)} ${produceRow(lot.crop).name.toLowerCase()}`}
            note={`${lot.ripeness}, ${PLACE_NAMES[lot.place]}`}
            onPress={() => onToggle(lotKey(lot))}
          />
        ))}
    </View>
  );
}
