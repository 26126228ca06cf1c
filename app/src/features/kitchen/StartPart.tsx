import { nameOf } from '@hoddle/core/day/batch';
import { useState } from 'react';
import { View } from 'react-native';
import { pastWords } from '@/household/day/finishWords';
import { type DayWithPlan } from '@hoddle/core/kitchen/dayInHand';
import { clockTime, clockTimeFrom } from '@/ui/clockWords';
import { Words } from '@/ui/Words';
import { KitchenKey } from '@/ui/KitchenKey';
import { askForNotices, noticesAre } from './notices';
import { call, openSound } from './tones';
import { useStartDay } from '@/household/kitchen/useStartDay';
import { canStayAwake } from './useStayAwake';

const MINUTE_MS = 60_000;

/** Before the first step: the screen is made loud and large by a touch, and the day begins in the order of its plan. */
export function StartPart({ day }: { day: DayWithPlan }) {
  const start = useStartDay(day);
  const [loud, setLoud] = useState(false);
  const hear = async () => {
    await openSound();
    call('rest-over');
    setLoud(true);
  };
  const begin = () => {
    // A touch is what most browsers want before sound and the whole screen.
    void openSound();
    void document.documentElement.requestFullscreen?.().catch(() => undefined);
    start();
  };
  return (
    <View className="w-full max-w-[640px] gap-4 px-4 pb-8">
      <Words size="head" weight={700} tone="milk">
        {day.loads.length} {day.loads.length === 1 ? 'load' : 'loads'}, likely done{' '}
        {clockTimeFrom(day.likelyAt, day.startAt)}
        {pastWords(day) ? `; it ${pastWords(day)}` : ''}
      </Words>
      <View role="list" aria-label="It begins with">
        {day.tasks.slice(0, 3).map(({ task, startMin }) => {
          const batch = day.batches.find(({ id }) => id === task.batchId);
          return (
            <View
              key={task.id}
              role="listitem"
              className="min-h-[60px] flex-row items-center gap-3 border-t-2 border-granite-line"
            >
              <Words size="lead" weight={800} tone="milk" className="w-[96px]">
                {clockTime(day.startAt + startMin * MINUTE_MS)}
              </Words>
              <Words size="lead" tone="milk" className="flex-1">
                {task.words}
                {batch ? `, ${nameOf(batch).toLowerCase()}` : ''}
              </Words>
            </View>
          );
        })}
      </View>
      <KitchenKey look="amber" words="Start the day" onPress={begin} />
      <KitchenKey
        look="outline"
        words={loud ? 'That is how it calls' : 'Touch to hear it call'}
        onPress={() => void hear()}
      />
      {noticesAre() === 'asked' && (
        <KitchenKey look="outline" words="Notices over other apps" onPress={() => void askForNotices()} />
      )}
      <Words tone="milk-2">
        {canStayAwake()
          ? 'The screen stays on while the kitchen is shown.'
          : 'This browser cannot keep the screen on: set the device so that it does not sleep.'}{' '}
        Steam burns: lid away from your face. No cold water on hot glass.
      </Words>
    </View>
  );
}
