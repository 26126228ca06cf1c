import { type DayTold } from '@hoddle/core/kitchen/dayEvent';
import { type Batch, nameOf, type PlannedLoad } from '@hoddle/core/day/batch';
import { type Card } from '@hoddle/core/handbook/cards/card';
import { countJars } from '@hoddle/core/handbook/jars';
import { atTheGate } from '@hoddle/core/kitchen/atTheGate';
import { withChange } from '@hoddle/core/kitchen/dayChange';
import { gateLoads } from '@hoddle/core/kitchen/gateLoads';
import { KG_PER_LB, unitWords } from '@hoddle/core/measure/amount';
import { printFraction } from '@hoddle/core/measure/fraction';
import { measuredPart } from '@hoddle/core/recipe/cardCrops';
import { outputAt } from '@hoddle/core/recipe/potOutputs';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { v7 as uuidV7 } from 'uuid';
import { type Day, type LiveDay } from '@hoddle/core/kitchen/dayInHand';
import { useDay } from '@/household/day/useDay';
import { loadsOfGate } from '@hoddle/core/day/amountsOfBatch';
import { ScalePart } from '@/household/instruments/ScalePart';
import { useBatchAmounts } from '@/household/recipe/useBatchAmounts';
import { useLearned } from '@/household/yields/useLearned';
import { useHousehold } from '@/store/useHousehold';
import { Words } from '@/ui/Words';
import { isLater } from './ChangeScreen';
import { GateAmounts } from './GateAmounts';
import { KitchenFrame } from './KitchenFrame';
import { KitchenKey } from '@/ui/KitchenKey';
import { useCapacity } from './LoadsChange';
import { NumberPad } from './NumberPad';
import { OfferPart } from './OfferPart';
import { ShortPart } from './ShortPart';
import { TakeOff } from './TakeOff';
import { useKeepCold } from './useKeepCold';
import { useTellDay } from '@/household/kitchen/useTellDay';

/** The measure gate: what was really got, and what it makes of sugar, pectin, jars, loads and the rest of the day. */
export function MeasureScreen({ taskId }: { taskId: string }) {
  const day = useDay();
  const task = day?.live?.running.tasks.find(({ id }) => id === taskId);
  const batch = day?.batches.find(({ id }) => id === task?.batchId);
  const amounts = useBatchAmounts(batch);
  const taken = outputAt(task?.entry ?? '');
  return (
    <KitchenFrame back={{ words: 'To all canners', to: '/kitchen' }} likelyAt={day?.likelyAt} lateAt={day?.lateAt}>
      {day?.live && task && batch && taken ? (
        <TakeOff day={day} live={day.live} pot={batch} kind={taken} taskId={taskId} />
      ) : day?.live && task && batch && amounts ? (
        <Measure
          // Another card is measured anew.
          key={amounts.card.card}
          day={day}
          live={day.live}
          batch={batch}
          card={amounts.card}
          planned={amounts.loads
            .filter(({ loadId }) => task.loadId === undefined || loadId === task.loadId)
            .reduce((sum, { amounts: { pots, factor } }) => sum + pots * factor, 0)}
          taskId={taskId}
          {...(task.loadId !== undefined && { own: loadsOfGate(amounts, batch, task.loadId) })}
        />
      ) : (
        <Words size="head" weight={700} tone="milk" className="px-4">
          There is nothing to measure now.
        </Words>
      )}
    </KitchenFrame>
  );
}

interface MeasureProps {
  day: Day;
  live: LiveDay;
  batch: Batch;
  card: Card;
  /** Batches of the card that were meant. */
  planned: number;
  taskId: string;
  /** The loads it is measured for; all of the batch that have not gone in where it is done once. */
  own?: readonly PlannedLoad[];
}

function Measure({ day, live, batch, card, planned, taskId, own }: MeasureProps) {
  const router = useRouter();
  const tell = useTellDay(day.id);
  const { household } = useHousehold();
  const main = measuredPart(card);
  const later = batch.loads.filter((load) => isLater(load, day));
  const meant = own ?? later;
  // What is in jars of another size stays as it was planned.
  const sized = meant.filter(({ size }) => size);
  const ownSize = meant.filter(({ size }) => !size);
  const jarsMeant = ownSize.reduce((sum, { jars }) => sum + jars, 0);
  // As it was when the measuring began: fruit that is taken meanwhile makes no more of it.
  const [plannedAmount] = useState((main?.perBatch ?? 4) * planned);
  const step = main?.unit === 'lb' ? 0.25 : 0.5;
  const [amount, setAmount] = useState(() => Math.round(plannedAmount / step) * step);
  const weighed = (grams: number) => setAmount(Math.round((grams / 1_000 / KG_PER_LB) * 100) / 100);
  const [offered, setOffered] = useState<readonly PlannedLoad[]>();
  const capacity = useCapacity(batch, day, meant);
  const keepCold = useKeepCold();
  const learned = useLearned();
  const at = amount > 0 ? atTheGate(batch, card, meant, amount, learned) : undefined;
  const { gate, left = [] } = at ?? {};
  const jars = at?.jars ?? jarsMeant;
  const unit = main?.unit === 'lb' ? 'lb' : 'cups';
  const counted = (value: number) => `${printFraction(value, 4)} ${unitWords(value, main?.unit ?? 'cup')}`;
  const toldFor = (loads: readonly PlannedLoad[]): DayTold[] => {
    const loadIds = own && { loadIds: (loads.length > 0 ? loads : own).map(({ id }) => id) };
    return [
      { type: 'measured', batchId: batch.id, taskId, ...loadIds, amount, ...(left.length > 0 && { left }) },
      { type: 'step-done', taskId },
    ];
  };
  const end = () => router.navigate('/kitchen');
  const others = later.filter(({ id }) => !meant.some((own) => own.id === id));
  if (planned <= 0) return <BoiledAlready batch={batch} onGo={() => (tell({ type: 'step-done', taskId }), end())} />;
  if (offered) {
    const change = { kind: 'loads', batchId: batch.id, loads: offered } as const;
    const words = `${counted(amount)}: ${countJars(jars, batch.jar)} instead of ${jarsMeant}`;
    return (
      <OfferPart
        day={day}
        live={live}
        words={words}
        change={change}
        asked={withChange(live.rest, change, household.kitchen.cooks)}
        before={toldFor(offered.filter(({ id }) => !others.some((other) => other.id === id)))}
        onTake={() => keepCold(left)}
        onRefuse={() => setOffered(undefined)}
        onTaken={end}
      />
    );
  }
  const last = Math.max(0, ...batch.loads.map(({ number }) => number));
  const next = () => {
    if (jars === jarsMeant) {
      toldFor(meant).forEach((told) => tell(told));
      keepCold(left);
      return end();
    }
    setOffered([...gateLoads(ownSize, jars, capacity, last, uuidV7), ...sized, ...others]);
  };
  return (
    <View className="w-full max-w-[640px] gap-4 px-4 pb-8">
      <Words size="head" weight={700} tone="milk">
        {nameOf(batch)}: how much is really there?
      </Words>
      <NumberPad
        label={main ? `Measured ${main.words}` : 'Measured'}
        value={amount}
        unit={unit}
        step={step}
        of={main?.unit === 'lb' ? 'lb' : 'cup'}
        onChange={setAmount}
      />
      {main?.unit === 'lb' && <ScalePart first="kitchen-scale" on="granite" onWeighed={weighed} />}
      {gate?.kind === 'make' && (
        <GateAmounts gate={gate} jars={countJars(jars, batch.jar)} planned={jarsMeant} unit={unit} />
      )}
      {gate?.kind === 'wait' && (
        <Words role="alert" size="lead" weight={700} tone="milk">
          {counted(gate.missing)} missing: a box of pectin sets one whole batch, never a part of one.
        </Words>
      )}
      {amount < plannedAmount - 0.1 && main && (
        <ShortPart
          day={day}
          batch={batch}
          missing={(plannedAmount - amount) / main.perBatch}
          {...(own?.[0] && { loadId: own[0].id })}
          onAdded={(batches) => setAmount((before) => Math.round((before + batches * main.perBatch) * 4) / 4)}
        />
      )}
      {gate?.kind === 'wait' ? (
        <KitchenKey look="outline" words="Let it wait: drop it for today" onPress={() => setOffered(others)} />
      ) : (
        <KitchenKey
          look="milk"
          words={jars === jarsMeant ? 'As planned: go on' : 'See what it changes'}
          disabled={amount <= 0}
          onPress={next}
        />
      )}
    </View>
  );
}

/** A pot fills more jars than one load holds: for the second nothing is measured, it is jam by then. */
function BoiledAlready({ batch, onGo }: { batch: Batch; onGo: () => void }) {
  return (
    <View className="w-full max-w-[640px] gap-4 px-4 pb-8">
      <Words size="head" weight={700} tone="milk">
        {nameOf(batch)}: nothing to measure for this load. It is filled from the pots of the load before.
      </Words>
      <KitchenKey look="milk" words="Go on" onPress={onGo} />
    </View>
  );
}
