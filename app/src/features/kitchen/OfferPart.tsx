import { type DayTold } from '@hoddle/core/kitchen/dayEvent';
import { orderChange } from '@hoddle/core/kitchen/orderChange';
import { type DayChange, produceUsed } from '@hoddle/core/kitchen/dayChange';
import { type RestQuestion, type RestSolved } from '@hoddle/core/kitchen/solveRest';
import { useEffect, useRef, useState } from 'react';
import { View } from 'react-native';
import { type Day, type LiveDay } from '@hoddle/core/kitchen/dayInHand';
import { solveInWorker } from '@/store/restStore';
import { householdNow, useHousehold } from '@/store/useHousehold';
import { Words } from '@/ui/Words';
import { KitchenKey } from '@/ui/KitchenKey';
import { orderWords } from './orderWords';
import { orderOf } from '@/household/kitchen/useStartDay';
import { useTellDay } from '@/household/kitchen/useTellDay';

interface OfferPartProps {
  day: Day;
  live: LiveDay;
  words: string;
  change: DayChange;
  /** The rest of the day as it would be. */
  asked: RestQuestion;
  /** Told with the change: what was measured. */
  before?: readonly DayTold[];
  /** Done besides, once it is taken. */
  onTake?: () => void;
  onRefuse: () => void;
  onTaken: () => void;
}

/** What a change does to the rest of the day, in one line: taken or refused. Nothing is told before. */
export function OfferPart({ day, live, words, change, asked, before = [], onTake, onRefuse, onTaken }: OfferPartProps) {
  const tell = useTellDay(day.id);
  const { canners } = useHousehold().household;
  const [solved, setSolved] = useState<RestSolved | 'cutOff'>();
  // The question as it was when it was asked: the clock goes on meanwhile.
  const question = useRef(asked);
  useEffect(() => {
    let over = false;
    void solveInWorker(question.current).then((answer) => {
      if (!over) setSolved(answer ?? 'cutOff');
    });
    return () => {
      over = true;
    };
  }, []);
  const nameOf = (id: string) => canners.find((canner) => canner.id === id)?.name ?? 'another canner';
  const best = solved === undefined || solved === 'cutOff' ? undefined : solved.best;
  const take = () => {
    for (const told of [...before, ...toldOf(change, day)]) tell(told);
    onTake?.();
    if (best) {
      const cannerOf = Object.fromEntries(best.cannerOf);
      tell({ type: 'order-taken', order: orderOf(best.tasks, { startAt: day.startAt, cannerOf }) });
    }
    onTaken();
  };
  return (
    <View className="w-full max-w-[640px] gap-4 px-4 pb-8">
      <Words size="head" weight={800} tone="milk">
        {words}
      </Words>
      <View role="status">
        {solved === undefined ? (
          <Words size="head" tone="milk">
            Solving the rest of the day again.
          </Words>
        ) : best ? (
          <Words size="head" weight={700} tone="milk">
            {orderWords(orderChange(live.laid?.tasks ?? [], best.tasks), day, nameOf)}
          </Words>
        ) : (
          <Words size="head" weight={700} tone="milk">
            {solved === 'cutOff'
              ? 'The search was cut off. It can be told all the same; the order stays.'
              : 'What is left cannot be done so: some load would have no canner, or nobody to fill it. Drop something, or freeze what waits.'}
          </Words>
        )}
      </View>
      {(best ?? solved === 'cutOff') && <KitchenKey look="milk" words="Do it so" onPress={take} />}
      {solved !== undefined && !best && solved !== 'cutOff' && (
        <KitchenKey look="outline" words="Tell it all the same" onPress={take} />
      )}
      <KitchenKey look="outline" words="Leave it as it was" onPress={onRefuse} />
    </View>
  );
}

function toldOf(change: DayChange, day: Day): DayTold[] {
  switch (change.kind) {
    case 'cook-away':
      return [{ type: 'cook-away', cook: change.cook, ...(change.until && { until: change.until.at }) }];
    case 'cook-back':
      return [{ type: change.kind, cook: change.cook }];
    case 'canner-out':
    case 'canner-back':
      return [{ type: change.kind, cannerId: change.cannerId }];
    case 'loads': {
      const { batchId, loads } = change;
      const batch = day.batches.find(({ id }) => id === batchId);
      const begun = batch?.loads.filter(({ id }) =>
        day.loads.some((load) => load.id === id && load.phase !== 'planned'),
      );
      const used = batch && begun ? produceUsed(batch, begun, loads) : 1;
      return [{ type: 'loads-changed', batchId, loads, produceUsed: used }];
    }
    case 'pots': {
      const endedAt = householdNow();
      return [...change.told, ...change.over.map((taskId): DayTold => ({ type: 'done-before', taskId, endedAt }))];
    }
  }
}
