import { type DayTask } from '@hoddle/core/day/dayProblem';
import { agoChoices } from '@hoddle/core/kitchen/atTheLoad';
import { testedPart } from '@hoddle/core/kitchen/testedPart';
import { useState } from 'react';
import { View } from 'react-native';
import { householdNow } from '@/store/useHousehold';
import { Words } from '@/ui/Words';
import { KitchenKey } from '@/ui/KitchenKey';
import { useTellDay } from './useTellDay';

const MINUTE_MS = 60_000;

/** "just now", "30 min ago", "8 h ago" */
export function agoWords(minutes: number): string {
  if (minutes === 0) return 'just now';
  return minutes < 60 ? `${minutes} min ago` : `${minutes / 60} h ago`;
}

/** It was done before anybody told: when it was over. What is hot or sour counts for an hour. */
export function DoneBefore({ dayId, task }: { dayId: string; task: DayTask }) {
  const tell = useTellDay(dayId);
  const [isAsked, setAsked] = useState(false);
  if (!isAsked) return <KitchenKey look="outline" words="It was done before" onPress={() => setAsked(true)} />;
  const over = (ago: number) =>
    tell({ type: 'done-before', taskId: task.id, endedAt: householdNow() - ago * MINUTE_MS });
  return (
    <View role="group" aria-label={`When was it over: ${task.words}`} className="gap-2">
      <Words size="lead" weight={700} tone="milk">
        When was “{task.words}” over?
      </Words>
      <View className="flex-row flex-wrap gap-2">
        {agoChoices(task).map((ago) => (
          <View key={ago} className="min-w-[46%] flex-1">
            <KitchenKey look="outline" words={agoWords(ago)} onPress={() => over(ago)} />
          </View>
        ))}
      </View>
      {testedPart(task) === 'heat' && (
        <Words size="lead" tone="milk-2">
          Longer ago it is cold: do it again.
        </Words>
      )}
    </View>
  );
}
