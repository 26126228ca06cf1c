import { placesFor } from '@hoddle/core/harvest/keeping';
import { isLiquid, isProduceStill, LEFT_PLACES } from '@hoddle/core/harvest/leftBehind';
import { type LotChange, type LotEnd } from '@hoddle/core/harvest/lotChange';
import { type Lot } from '@hoddle/core/harvest/onHand';
import { type Place } from '@hoddle/core/harvest/pick';
import { readHarvest } from '@hoddle/core/harvest/readHarvest';
import { readLeft } from '@hoddle/core/harvest/readLeft';
import { UNITS } from '@hoddle/core/measure/amount';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { v7 as uuidV7 } from 'uuid';
import { Slip } from '@/ui/Slip';
import { useHouseholdStore } from '@/store/householdStore';
import { householdNow, useHousehold, useNow } from '@/store/useHousehold';
import { useMassWords, useUnits } from '@/store/useUnits';
import { hueOfCrop } from '@/ui/colours';
import { dayAndDate } from '@/ui/clockWords';
import { Fuse } from '@/ui/Fuse';
import { Key } from '@/ui/Key';
import { Screen } from '@/ui/Screen';
import { TextField } from '@/ui/TextField';
import { Heading, Words } from '@/ui/Words';
import { LeftMakes } from './LeftMakes';
import { keepingOf, lotAmount, lotName, PLACE_NAMES, PLACE_WORDS } from '@/household/harvest/keepingWords';
import { lotKey, useLeftBehind, useLots } from '@/household/harvest/useOnHand';

const ENDS: readonly { kind: LotEnd; words: string }[] = [
  { kind: 'eaten', words: 'Eaten fresh' },
  { kind: 'given-away', words: 'Given away' },
  { kind: 'fed', words: 'Fed to animals' },
  { kind: 'composted', words: 'To the compost' },
  { kind: 'lost', words: 'Lost' },
];

/** One lot: how long it keeps, carried elsewhere, or ended other than in a jar. */
export function LotScreen({ lotId }: { lotId: string }) {
  const lot = [...useLots(), ...useLeftBehind()].find((each) => lotKey(each) === lotId);
  if (!lot) {
    return (
      <Screen station="harvest" title="This lot is used up" backTo="/harvest">
        <Words>What became of it is under Harvest.</Words>
      </Screen>
    );
  }
  return <LotParts key={lotId} lot={lot} />;
}

function LotParts({ lot }: { lot: Lot }) {
  const router = useRouter();
  const enter = useHouseholdStore((store) => store.enter);
  const { ownMeasures, picks } = useHousehold();
  const now = useNow(60_000);
  const mass = useMassWords();
  const units = useUnits();
  const isMetric = units === 'metric';
  const isPoured = lot.of !== undefined && isLiquid(lot.of.kind);
  const unit = isPoured ? (isMetric ? 'l' : 'quart') : isMetric ? 'kg' : 'lb';
  const [typed, setTyped] = useState('');
  const [slip, setSlip] = useState<string>();
  const name = lotName(lot);
  const isCrop = isProduceStill(lot.of);
  const pick = picks.find(({ id }) => id === lot.pickId);
  const places = (isCrop ? placesFor(lot.crop) : LEFT_PLACES).filter((place) => place !== lot.place);

  const change = (kind: LotChange['kind'], to: Place | null = null) => {
    const reading = isCrop
      ? readHarvest(typed, lot.crop, isMetric ? 'kg' : 'lb', ownMeasures)
      : readLeft(typed, lot.of?.kind ?? 'pulp', unit);
    if ('sentence' in reading) return setSlip(reading.sentence);
    const massKg = reading.kind === 'mass' ? reading.massKg : lot.massKg;
    if (massKg > lot.massKg + 0.01) return setSlip(`There are only ${lotAmount(lot, units)} in this lot.`);
    const { pickId, part, place: from } = lot;
    const told: LotChange = {
      id: uuidV7(),
      pickId,
      part,
      from,
      kind,
      to,
      massKg: Math.min(massKg, lot.massKg),
      at: householdNow(),
    };
    void enter({ kind: 'lot-change', change: told });
    router.navigate('/harvest');
  };

  return (
    <Screen
      station="harvest"
      title={`${lotAmount(lot, units)} ${name}`}
      note={noteOf(lot, pick?.pickedAt)}
      backTo="/harvest"
      foot={
        isCrop ? (
          <Key
            tall
            words="See what it makes"
            onPress={() =>
              router.navigate({ pathname: '/harvest/makes', params: { crop: lot.crop, lot: lotKey(lot) } })
            }
          />
        ) : (
          <LeftMakes lot={lot} />
        )
      }
    >
      <View className="max-w-[560px] gap-4">
        <Fuse hue={hueOfCrop(lot.crop).hue} daysInAll={lot.keepsDays} {...keepingOf(lot, now, mass)} />
        {isCrop && lot.place === 'freezer' && (
          <Words>
            Once thawed it is used within a day. Thawed and drained it loses its water at once: thicker sauce.
          </Words>
        )}
        <View className="gap-2">
          <TextField
            label={`How much of it, in ${UNITS[unit].several}; nothing typed is all of it`}
            spokenLabel="How much of it"
            value={typed}
            onChange={(text) => {
              setTyped(text);
              setSlip(undefined);
            }}
            wrong={slip !== undefined}
          />
          {slip !== undefined && <Slip sentence={slip} />}
        </View>
        <View className="gap-2">
          <Heading>Carry it to</Heading>
          <View className="flex-row flex-wrap gap-2">
            {places.map((place) => (
              <Key
                key={place}
                look="outline"
                words={`the ${PLACE_NAMES[place]}`}
                onPress={() => change('moved', place)}
              />
            ))}
            {isCrop && lot.ripeness !== 'soft' && lot.place !== 'freezer' && (
              <Key look="outline" words="It went soft" onPress={() => change('softened')} />
            )}
          </View>
        </View>
        <View className="gap-2">
          <Heading>It is gone</Heading>
          <View className="flex-row flex-wrap gap-2">
            {ENDS.map(({ kind, words }) => (
              <Key key={kind} look="outline" words={words} onPress={() => change(kind)} />
            ))}
          </View>
          <Words size="label" tone="ink-2">
            {isCrop ? 'Each counts in the season’s tally. ' : ''}Mould or rot goes to the compost, not into a jar and
            not to animals.
          </Words>
        </View>
      </View>
    </Screen>
  );
}

/** "In the refrigerator, ripe; picked Sunday 30 Aug". */
function noteOf({ place, ripeness, thawed, of }: Lot, since: number | undefined): string {
  const state = isProduceStill(of) ? `, ${ripeness}${thawed ? ', thawed' : ''}` : '';
  const when = since === undefined ? '' : `; ${of ? 'left over' : 'picked'} ${dayAndDate(since)}`;
  return `${PLACE_WORDS[place]}${state}${when}`;
}
