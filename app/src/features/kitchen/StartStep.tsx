import { type ScheduledTask } from '@hoddle/core/day/dayProblem';
import { needsHands } from '@hoddle/core/day/restOfDay';
import { openStepWords } from '@hoddle/core/kitchen/heldBackWords';
import { openBefore } from '@hoddle/core/kitchen/openBefore';
import { stepClock } from '@hoddle/core/kitchen/stepClock';
import { isDue } from '@hoddle/core/kitchen/whatNow';
import { useState } from 'react';
import { type Day, type LiveDay } from '@hoddle/core/kitchen/dayInHand';
import { householdNow, useNow } from '@/store/useHousehold';
import { useSingleTap } from '@/ui/useSingleTap';
import { Words } from '@/ui/Words';
import { DoneBefore } from '@/household/kitchen/DoneBefore';
import { KitchenKey } from '@/ui/KitchenKey';
import { useTellDay } from '@/household/kitchen/useTellDay';

/**
 * The key of a step that has not begun: it starts where all it waits for is over. Else it says what comes first, with the key
 * for that; a wait that the recipe does not need is ended early only by whoever was asked.
 */
export function StartStep({
  day,
  live,
  entry,
  by,
}: {
  day: Day;
  live: LiveDay;
  entry: ScheduledTask;
  /** Whose hands begin it, where there are several. */
  by: { readonly cook?: string };
}) {
  const { task } = entry;
  const tell = useTellDay(day.id);
  const now = useNow(1_000);
  const start = useSingleTap(() => tell({ type: 'step-started', taskId: task.id, ...by }));
  const [isAsked, setAsked] = useState(false);
  const open = openBefore(task, live.running, now, live.progress);
  const [first, ...more] = open;
  if (!first) {
    return <KitchenKey look={isDue(entry, live.progress) ? 'milk' : 'outline'} words="Start" onPress={start} />;
  }
  const taskId = first.task.id;
  const says = (
    <Words role="alert" size="lead" weight={700} tone="milk">
      {openStepWords(first)}
    </Words>
  );
  if (first.why === 'runs') {
    // What is looked at has its own keys, what was tested has none.
    if (first.part || stepClock(first.task).asks !== undefined) return says;
    const cut = () => {
      tell({ type: 'step-done', taskId, sure: true });
      if (more.length === 0) start();
    };
    return (
      <>
        {says}
        <KitchenKey
          look="outline"
          words={isAsked ? `End “${first.task.words}” now and start` : 'Start early'}
          onPress={isAsked ? cut : () => setAsked(true)}
        />
      </>
    );
  }
  if (first.why === 'cold') {
    const again = () => tell({ type: 'step-started', taskId, again: true });
    return (
      <>
        {says}
        <KitchenKey look="milk" words={`Do “${first.task.words}” again`} onPress={again} />
      </>
    );
  }
  const isPlainWork = needsHands(first.task) && first.part === undefined;
  const wasDone = () => {
    tell({ type: 'done-before', taskId, endedAt: householdNow() });
    if (more.length === 0) start();
  };
  return (
    <>
      {says}
      <KitchenKey
        look="milk"
        words={`Start “${first.task.words}”`}
        onPress={() => tell({ type: 'step-started', taskId, ...by })}
      />
      {isPlainWork ? (
        <KitchenKey
          look="outline"
          words={more.length === 0 ? 'That is done: start' : 'That is done'}
          onPress={wasDone}
        />
      ) : (
        <DoneBefore key={taskId} dayId={day.id} task={first.task} />
      )}
    </>
  );
}
