import { type Batch, cardOf, frozenPart, mainCropOf, nameOf } from '@hoddle/core/day/batch';
import { findProduce, type ProduceId } from '@hoddle/core/handbook/produce';
import {
  isLiquid,
  isProduceStill,
  LEFT_PLACES,
  LEFT_WORDS,
  leftKeepsDays,
  trimmingsOf,
} from '@hoddle/core/harvest/leftBehind';
import { LEFT_KINDS, type LeftKind } from '@hoddle/core/harvest/leftOf';
import { keepsDays } from '@hoddle/core/harvest/keeping';
import { type Pick as HarvestPick, type Place } from '@hoddle/core/harvest/pick';
import { readLeft } from '@hoddle/core/harvest/readLeft';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { v7 as uuidV7 } from 'uuid';
import { Slip } from '@/ui/Slip';
import { useHouseholdStore } from '@/store/householdStore';
import { householdNow, useHousehold } from '@/store/useHousehold';
import { useUnits } from '@/store/useUnits';
import { ChipRadio } from '@/ui/ChipRadio';
import { Key } from '@/ui/Key';
import { Screen } from '@/ui/Screen';
import { TextField } from '@/ui/TextField';
import { Heading, Words } from '@/ui/Words';
import { PLACE_NAMES } from '@/household/harvest/keepingWords';

/** What a batch leaves behind: kept with a weight, a place and a fuse, or gone with one tap. */
export function LeftScreen({ batchId, amount, first }: { batchId: string; amount: string; first?: LeftKind }) {
  const batch = useHousehold().batches.find(({ id }) => id === batchId);
  const crop = findProduce((batch && mainCropOf(batch)) ?? '')?.crop;
  if (!batch || !crop) {
    return (
      <Screen station="harvest" title="Nothing is left over" backTo="/harvest">
        <Words>This batch is not planned any more.</Words>
      </Screen>
    );
  }
  return <Left batch={batch} crop={crop} amount={amount} {...(first && { first })} />;
}

type Where = Place | 'fed' | 'composted';

function Left({ batch, crop, amount, first }: { batch: Batch; crop: ProduceId; amount: string; first?: LeftKind }) {
  const router = useRouter();
  const enter = useHouseholdStore((store) => store.enter);
  const isMetric = useUnits() === 'metric';
  const card = cardOf(batch);
  // What was frozen gives up its juice as it thaws.
  const likely: LeftKind[] = [
    ...(frozenPart(batch) > 0 ? (['juice'] as const) : []),
    ...(card ? trimmingsOf(card) : []),
  ];
  const [kind, setKind] = useState<LeftKind>(first ?? likely[0] ?? 'peels-and-cores');
  const [typed, setTyped] = useState(amount);
  const [slip, setSlip] = useState<string>();
  const bare = isLiquid(kind) ? (isMetric ? 'l' : 'quart') : isMetric ? 'kg' : 'lb';
  const keep = (where: Where) => {
    const reading = readLeft(typed, kind, bare);
    if (reading.kind === 'slip') return setSlip(reading.sentence);
    if (reading.kind === 'empty') return setSlip('How much is it? Weigh it, or measure what is liquid.');
    const { massKg, told } = reading;
    const at = householdNow();
    const isSoft = kind === 'soft-fruit';
    const place: Place = where === 'fed' || where === 'composted' ? 'counter' : where;
    const pick: HarvestPick = {
      id: uuidV7(),
      ...{ crop, massKg, softKg: isSoft ? massKg : 0, place, pickedAt: at, told },
      ripeness: 'ripe',
      source: 'garden',
      plantingId: null,
      of: { batchId: batch.id, kind },
    };
    void enter({ kind: 'pick', pick });
    if (where === 'fed' || where === 'composted') {
      const part = isSoft ? 'soft' : 'sound';
      const change = { id: uuidV7(), pickId: pick.id, part, from: place, kind: where, to: null, massKg, at } as const;
      void enter({ kind: 'lot-change', change });
    }
    if (router.canGoBack()) router.back();
    else router.replace('/harvest');
  };
  return (
    <Screen station="harvest" title="What is left over?" note={nameOf(batch)} backTo="/harvest" withoutStations>
      <View className="max-w-[560px] gap-4">
        <View role="radiogroup" aria-label="What it is" className="flex-row flex-wrap gap-2">
          {[...likely, ...LEFT_KINDS.filter((each) => !likely.includes(each))].map((each) => (
            <ChipRadio
              key={each}
              words={LEFT_WORDS[each]}
              chosen={each === kind}
              onPress={() => {
                setKind(each);
                setSlip(undefined);
              }}
            />
          ))}
        </View>
        <TextField
          label={isLiquid(kind) ? `How much, in ${isMetric ? 'litres' : 'quarts'}` : `Weight, in ${bare}`}
          spokenLabel="How much is left"
          value={typed}
          onChange={(text) => {
            setTyped(text);
            setSlip(undefined);
          }}
          wrong={slip !== undefined}
        />
        {slip !== undefined && <Slip sentence={slip} />}
        <Heading>Keep it for something</Heading>
        <View className="gap-2">
          {LEFT_PLACES.map((place) => (
            <Key
              key={place}
              look="outline"
              words={`${place === 'counter' ? 'On' : 'In'} the ${PLACE_NAMES[place]}: ${keepsWords(daysIn(kind, crop, place))}`}
              onPress={() => keep(place)}
            />
          ))}
        </View>
        <Heading>It is gone</Heading>
        <View className="flex-row flex-wrap gap-2">
          <Key look="outline" words="To the animals" onPress={() => keep('fed')} />
          <Key look="outline" words="To the compost" onPress={() => keep('composted')} />
        </View>
        <Words size="label" tone="ink-2">
          {isProduceStill({ batchId: batch.id, kind })
            ? 'Soft fruit that is sound is used today or tomorrow. What is mouldy goes to the compost.'
            : 'No salted, spiced or onion scraps to animals; mould and rot to the compost, not to animals.'}
        </Words>
      </View>
    </Screen>
  );
}

function daysIn(kind: LeftKind, crop: ProduceId, place: Place): number {
  return kind === 'soft-fruit' ? keepsDays(crop, 'soft', place) : leftKeepsDays(kind, place);
}

function keepsWords(days: number): string {
  if (days < 0.25) return '2 hours at most';
  if (days < 1) return 'half a day';
  if (days > 60) return `${Math.round(days / 30)} months`;
  return days === 1 ? 'a day' : `${days} days`;
}
