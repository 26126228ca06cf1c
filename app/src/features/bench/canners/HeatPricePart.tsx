import { type Kitchen } from '@hoddle/contract/household';
import { HEAT_UNITS, type HeatUnit } from '@hoddle/core/day/kitchenSetup';
import { readNumber } from '@hoddle/core/measure/readNumber';
import { useState } from 'react';
import { View } from 'react-native';
import { ChipRadio } from '@/ui/ChipRadio';
import { TextField } from '@/ui/TextField';
import { Words } from '@/ui/Words';

const UNIT_WORDS: Readonly<Record<HeatUnit, string>> = {
  kWh: 'a kilowatt-hour',
  lb: 'a pound of bottled gas',
  kg: 'a kilogram of bottled gas',
};

type HeatPrice = Kitchen['heatPrice'];

/** What heat costs here, in whatever money: two plans side by side tell theirs with it. */
export function HeatPricePart({ price, onKeep }: { price: HeatPrice; onKeep: (price: HeatPrice) => void }) {
  const [typed, setTyped] = useState(price ? String(price.price) : '');
  const [unit, setUnit] = useState<HeatUnit>(price?.of ?? 'kWh');
  const read = readNumber(typed);
  const keep = (words: string, of: HeatUnit) => {
    const next = readNumber(words);
    if (next.kind === 'number' && next.value <= MOST) onKeep({ of, price: next.value });
    else if (words.trim() === '') onKeep(undefined);
  };
  const isWrong = typed.trim() !== '' && (read.kind !== 'number' || read.value > MOST);
  return (
    <View className="gap-2">
      <Words>What heat costs, if two plans are to tell it</Words>
      <View role="radiogroup" aria-label="Price of heat is for" className="flex-row flex-wrap gap-2">
        {HEAT_UNITS.map((of) => (
          <ChipRadio
            key={of}
            words={UNIT_WORDS[of]}
            chosen={of === unit}
            onPress={() => {
              setUnit(of);
              keep(typed, of);
            }}
          />
        ))}
      </View>
      <TextField
        label={`Price of ${UNIT_WORDS[unit]}`}
        value={typed}
        onChange={(words) => {
          setTyped(words);
          keep(words, unit);
        }}
        numeric
        wrong={isWrong}
      />
      {isWrong && (
        <Words role="alert" weight={700}>
          A price is a number, as 0.18. The one before is kept.
        </Words>
      )}
    </View>
  );
}

const MOST = 1_000;
