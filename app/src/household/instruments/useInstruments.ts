import { type InstrumentPlace, type InstrumentsNow, type InstrumentSettings } from '@hoddle/contract/instrument';
import { useHouseholdStore } from '@/store/householdStore';
import { useInstrumentStore } from '@/store/instrumentStore';
import { householdAsEntered, useHousehold } from '@/store/useHousehold';

export type InstrumentNow = InstrumentsNow['instruments'][number];

const SCALES: readonly InstrumentNow['kind'][] = ['kitchen-scale', 'hanging-scale'];

/** Scales that speak now, the one first that is meant where this is asked. */
export function useScales(first: 'kitchen-scale' | 'hanging-scale'): readonly InstrumentNow[] {
  const { instruments } = useInstrumentStore();
  return instruments
    .filter(({ kind, isLost, last }) => SCALES.includes(kind) && !isLost && last)
    .sort((a, b) => Number(b.kind === first) - Number(a.kind === first));
}

/** Instruments that the household has put at a canner, as they are heard now. */
export function useAtCanner(cannerId: string): readonly InstrumentNow[] {
  const { instruments } = useInstrumentStore();
  const { places } = useHousehold().household.instruments;
  return instruments.filter(({ id }) =>
    places.some((each) => each.id === id && each.place.at === 'canner' && each.place.cannerId === cannerId),
  );
}

/** What the household tells of its instruments, and how that is changed. */
export function useInstrumentSettings() {
  const { household } = useHousehold();
  const enter = useHouseholdStore((store) => store.enter);
  const change = (part: (before: InstrumentSettings) => Partial<InstrumentSettings>) => {
    // Two keys pressed at once are both meant.
    const before = householdAsEntered()?.household ?? household;
    const instruments = { ...before.instruments, ...part(before.instruments) };
    void enter({ kind: 'household', household: { ...before, instruments } });
  };
  return { settings: household.instruments, change };
}

export function placeOf(settings: InstrumentSettings, id: string): InstrumentPlace | undefined {
  return settings.places.find((each) => each.id === id)?.place;
}
