import { type InstrumentPlace } from '@hoddle/contract/instrument';
import { useState } from 'react';
import { View } from 'react-native';
import { useHousehold } from '@/store/useHousehold';
import { ChipRadio } from '@/ui/ChipRadio';
import { SmallKey } from '@/ui/SmallKey';
import { Words } from '@/ui/Words';
import { InstrumentDrawing } from './InstrumentDrawing';
import { KIND_WORDS, readingWords, SET_ASIDE_WORDS } from '@/household/instruments/readingWords';
import { type InstrumentNow, placeOf, useInstrumentSettings } from '@/household/instruments/useInstruments';

/** One instrument: what it tells, where it is, and what is wrong with it, said. */
export function InstrumentRow({ instrument }: { instrument: InstrumentNow }) {
  const { household } = useHousehold();
  const { settings } = useInstrumentSettings();
  const [isOpen, setIsOpen] = useState(false);
  const { id, name, kind, battery, isLost } = instrument;
  const place = placeOf(settings, id);
  const faults = faultsOf(instrument);
  const isPlaced = kind === 'probe' || kind === 'pressure-gauge';
  return (
    <View role="listitem" className="gap-2 border-t-2 border-hair py-3">
      <View className="flex-row items-center gap-3">
        <InstrumentDrawing kind={kind} size={44} />
        <View className="flex-1">
          <Words weight={800} size="lead">
            {name}
          </Words>
          <Words tone="ink-2">
            {KIND_WORDS[kind]}
            {battery !== undefined && `, battery ${battery} %`}
          </Words>
        </View>
        <Words size="title" weight={800} tone={isLost ? 'ink-2' : 'ink'}>
          {isLost ? 'not heard' : readingWords(instrument, household.units)}
        </Words>
      </View>
      {isPlaced && (
        <View className="flex-row items-center gap-3">
          <Words className="flex-1">{placeWords(place, household.canners)}</Words>
          <SmallKey
            words={isOpen ? 'Done' : 'Where is it?'}
            label={`Where is ${name}?`}
            onPress={() => setIsOpen(!isOpen)}
          />
        </View>
      )}
      {isOpen && <Places instrument={instrument} onChosen={() => setIsOpen(false)} />}
      {faults.map((words) => (
        <Words key={words} weight={600}>
          {words}
        </Words>
      ))}
    </View>
  );
}

function Places({ instrument: { id, name, kind }, onChosen }: { instrument: InstrumentNow; onChosen: () => void }) {
  const { canners } = useHousehold().household;
  const { settings, change } = useInstrumentSettings();
  const place = placeOf(settings, id);
  const choose = (chosen: InstrumentPlace | undefined) => {
    change(({ places }) => ({
      places: [...places.filter((each) => each.id !== id), ...(chosen ? [{ id, name, place: chosen }] : [])],
    }));
    onChosen();
  };
  const others: readonly InstrumentPlace[] =
    kind === 'probe' ? [{ at: 'refrigerator' }, { at: 'pot' }, { at: 'jar' }, { at: 'room' }] : [];
  const options = [...canners.map((canner): InstrumentPlace => ({ at: 'canner', cannerId: canner.id })), ...others];
  return (
    <View role="radiogroup" aria-label={`Where ${name} is`} className="flex-row flex-wrap gap-2">
      {options.map((option) => (
        <ChipRadio
          key={placeWords(option, canners)}
          words={placeWords(option, canners)}
          chosen={isSamePlace(option, place)}
          onPress={() => choose(option)}
        />
      ))}
      <ChipRadio words="nowhere" chosen={place === undefined} onPress={() => choose(undefined)} />
    </View>
  );
}

function isSamePlace(a: InstrumentPlace, b: InstrumentPlace | undefined): boolean {
  return placeKey(a) === (b && placeKey(b));
}

function placeKey(place: InstrumentPlace): string {
  return place.at === 'canner' ? place.cannerId : place.at;
}

const PLACE_WORDS = {
  pot: 'in an open pot',
  jar: 'in the middle of a jar',
  refrigerator: 'in the refrigerator',
  room: 'in the room',
} as const;

export function placeWords(
  place: InstrumentPlace | undefined,
  canners: readonly { readonly id: string; readonly name: string }[],
): string {
  if (!place) return 'Not in any pot yet';
  if (place.at !== 'canner') return PLACE_WORDS[place.at];
  return `in ${canners.find(({ id }) => id === place.cannerId)?.name ?? 'a canner that is gone'}`;
}

function faultsOf({ sharesName, clockBehindMs, setAside }: InstrumentNow): string[] {
  const minutes = Math.round(Math.abs(clockBehindMs ?? 0) / 60_000);
  return [
    ...(sharesName ? ['Another one goes by the same name.'] : []),
    ...(clockBehindMs === undefined
      ? []
      : [`Its clock is ${minutes} min ${clockBehindMs > 0 ? 'behind' : 'ahead'}: reckoned with.`]),
    ...Object.entries(setAside).map(([why, count]) => `Set aside: ${count} ${SET_ASIDE_WORDS[why] ?? why}.`),
  ];
}
