import { inZone } from '@/store/householdZone';
import Clock from 'lucide-react-native/icons/clock';
import { addDays } from 'date-fns/addDays';
import { set } from 'date-fns/set';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { useHouseholdStore } from '@/store/householdStore';
import { useNow } from '@/store/useHousehold';
import { COLOURS } from '@/ui/colours';
import { clockTime, weekday } from '@/ui/clockWords';
import { SmallKey } from '@/ui/SmallKey';
import { Words } from '@/ui/Words';

const MINUTE_MS = 60_000;

/** A demo says that its clock is not the real one, and lets it be moved on: nobody waits a night to press lids. */
export function DemoClock() {
  // A rehearsal has a clock of its own.
  const offsetMs = useHouseholdStore((store) => (store.rehearsed ?? store.state)?.demoOffsetMs ?? null);
  const moveTo = useHouseholdStore((store) => store.moveDemoClockTo);
  const now = useNow(10_000);
  const [open, setOpen] = useState(false);
  if (offsetMs === null) return null;
  const forward = (ms: number) => {
    setOpen(false);
    void moveTo(offsetMs + Math.round(ms));
  };
  const tomorrow = set(addDays(inZone(now), 1), { hours: 9, minutes: 0, seconds: 0, milliseconds: 0 }).getTime();
  return (
    <View className="no-print bg-cobalt-wash">
      <Pressable
        role="button"
        aria-expanded={open}
        aria-label="Demo clock: move it forward"
        onPress={() => setOpen(!open)}
        className="min-h-[48px] flex-row items-center justify-center gap-2 px-4"
      >
        <Clock size={15} color={COLOURS.cobalt} />
        <Words size="small" tone="cobalt" weight={600}>
          Demo clock: {weekday(now)} {clockTime(now)}
        </Words>
      </Pressable>
      {open && (
        <View className="flex-row flex-wrap justify-center gap-2 px-4 pb-2">
          <SmallKey words="+5 min" onPress={() => forward(5 * MINUTE_MS)} />
          <SmallKey words="+20 min" onPress={() => forward(20 * MINUTE_MS)} />
          <SmallKey words="+1 h" onPress={() => forward(60 * MINUTE_MS)} />
          <SmallKey words="Tomorrow 9 am" onPress={() => forward(tomorrow - now)} />
        </View>
      )}
    </View>
  );
}
