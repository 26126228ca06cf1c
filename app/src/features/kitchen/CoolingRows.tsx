import { nameOf } from '@hoddle/core/day/batch';
import { COOL_FROM_MS } from '@hoddle/core/kitchen/loadClock';
import { View } from 'react-native';
import { type Day } from '@hoddle/core/kitchen/dayInHand';
import { clockTime, weekday } from '@/ui/clockWords';
import { HeatSign } from '@/ui/HeatSign';
import { Words } from '@/ui/Words';
import { KitchenKey } from '@/ui/KitchenKey';
import { type RunningLoad } from '@/household/kitchen/useLoad';
import { useTellDay } from '@/household/kitchen/useTellDay';
import { insideWords } from '@/household/kitchen/insideWords';

/** Jars on the towel: left alone until their lids are pressed; bands of reusable lids are tightened as they come out. */
export function CoolingRows({ day, loads }: { day: Day; loads: readonly RunningLoad[] }) {
  const tell = useTellDay(day.id);
  const cooling = loads.filter(
    ({ state, load, batch }) =>
      state.phase === 'cooling' && load.withLoadId === undefined && day.batches.some(({ id }) => id === batch.id),
  );
  if (cooling.length === 0) return null;
  return (
    <View role="list" aria-label="On the towel">
      {cooling.map(({ load, batch, state, besides }) => {
        const from = (state.outAt ?? 0) + COOL_FROM_MS;
        const alarmId = `tighten ${load.id}`;
        const loose = state.lids === 'reusable' && !day.state.answered.has(alarmId);
        return (
          <View key={load.id} role="listitem" className="gap-2 border-t-2 border-granite-line px-4 py-2">
            <View className="min-h-[56px] flex-row items-center gap-3">
              <HeatSign phase="cooling" size={26} dark />
              <View className="flex-1">
                <Words size="lead" weight={700} tone="milk">
                  {insideWords(state.jars, { batch, besides })} {nameOf(batch).toLowerCase()}
                </Words>
                <Words tone="milk-2">
                  An inch apart on a towel. {loose ? '' : 'Never tighten bands now. '}Lids from {weekday(from)}{' '}
                  {clockTime(from)}.
                </Words>
              </View>
            </View>
            {loose && (
              <KitchenKey
                look="amber"
                words="Reusable lids: bands are tight"
                onPress={() => tell({ type: 'alarm-answered', alarmId })}
              />
            )}
          </View>
        );
      })}
    </View>
  );
}
