import { ringing } from '@hoddle/core/kitchen/alarms';
import { useEffect } from 'react';
import { View } from 'react-native';
import { useHousehold } from '@/store/useHousehold';
import { HeatSign } from '@/ui/HeatSign';
import { RowLink } from '@/ui/RowLink';
import { Words } from '@/ui/Words';
import { alarmWords } from './alarmWords';
import { notice } from './notices';
import { call, canBeHeard, openSound } from './tones';
import { useAlarms } from './useAlarms';

/** A call that nobody answers is repeated so often. */
const REPEAT_MS = 12_000;

const GESTURES = ['click', 'keydown'] as const;

/**
 * Calls on every screen, as long as something is due: a tone of its kind, a shake, a notice, and a band on top that leads
 * to the kitchen. It goes on until it is answered there.
 */
export function AlarmWatch() {
  const { canners, units } = useHousehold().household;
  const { day, alarms, now } = useAlarms();
  const loud = ringing(alarms, now)[0];
  const cannerName = (id: string) => canners.find((canner) => canner.id === id)?.name ?? 'canner';
  const words = loud && day ? alarmWords(loud, day, { cannerName, units }) : '';
  const { id, kind } = loud ?? {};
  useEffect(() => {
    // Any tap or key will do; after a reload the browser wants one anew. A thumb that scrolls is none and is not held up.
    const open = () => void openSound();
    for (const kind of GESTURES) document.addEventListener(kind, open);
    return () => GESTURES.forEach((kind) => document.removeEventListener(kind, open));
  }, []);
  useEffect(() => {
    if (id === undefined || kind === undefined) return undefined;
    call(kind);
    notice(id, words);
    const timer = setInterval(() => call(kind), REPEAT_MS);
    return () => clearInterval(timer);
  }, [id, kind, words]);
  if (!loud) return null;
  return (
    <View role="alert" className="alarm-flash border-b-[6px] border-ink bg-milk">
      <RowLink href="/kitchen" className="min-h-[56px] flex-row items-center gap-3 px-4">
        <HeatSign phase="alarm" size={28} />
        <Words size="lead" weight={800} className="flex-1">
          {words}
        </Words>
        {!canBeHeard() && <Words>No sound before a touch</Words>}
      </RowLink>
    </View>
  );
}
