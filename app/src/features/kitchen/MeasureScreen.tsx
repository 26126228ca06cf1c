import { type Batch, mainCropOf, massKgOf, nameOf, type PlannedLoad } from '@hoddle/core/day/batch';
import { type Card } from '@hoddle/core/handbook/cards/card';
import { countJars } from '@hoddle/core/handbook/jars';
import { withChange } from '@hoddle/core/kitchen/dayChange';
import { gateLoads, jarsFor } from '@hoddle/core/kitchen/gateLoads';
import { printFraction } from '@hoddle/core/measure/fraction';
import { measuredPart } from '@hoddle/core/recipe/cardCrops';
import { type Gate, measureGate } from '@hoddle/core/supplies/measureGate';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { v7 as uuidV7 } from 'uuid';
import { type Day, type LiveDay, useDay } from '@/features/day/useDay';
import { useBatchAmounts } from '@/features/recipe/useBatchAmounts';
import { useHousehold } from '@/store/useHousehold';
import { Words } from '@/ui/Words';
import { isLater } from './ChangeScreen';
import { GateAmounts } from './GateAmounts';
import { KitchenFrame } from './KitchenFrame';
import { KitchenKey } from './KitchenKey';
import { useCapacity } from './LoadsChange';
import { NumberPad } from './NumberPad';
import { OfferPart } from './OfferPart';
import { ShortPart } from './ShortPart';
import { useKeepRest } from './useKeepRest';
import { type DayTold, useTellDay } from './useTellDay';

/** The measure gate: what was really got, and what it makes of sugar, pectin, jars, loads and the rest of the day. */
export function MeasureScreen({ taskId }: { taskId: string }) {
  const day = useDay();
  const task = day?.live?.running.tasks.find(({ id }) => id === taskId);
  const batch = day?.batches.find(({ id }) => id === task?.batchId);
  const amounts = useBatchAmounts(batch);
  return (
    <KitchenFrame back={{ words: 'To all canners', to: '/kitchen' }} likelyAt={day?.likelyAt} lateAt={day?.lateAt}>
      {day?.live && task && batch && amounts ? (
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
          own={batch.loads.find(({ id }) => id === task.loadId)}
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
  /** The load it is measured for; all of the batch that have not gone in where it is done once. */
  own?: PlannedLoad;
}

function Measure({ day, live, batch, card, planned, taskId, own }: MeasureProps) {
  const router = useRouter();
  const tell = useTellDay(day.id);
  const { household } = useHousehold();
  const main = measuredPart(card);
  const later = batch.loads.filter((load) => isLater(load, day));
  const meant = own ? [own] : later;
  const jarsMeant = meant.reduce((sum, { jars }) => sum + jars, 0);
  const plannedAmount = (main?.perBatch ?? 4) * planned;
  const step = main?.unit === 'lb' ? 0.25 : 0.5;
  const [amount, setAmount] = useState(() => Math.round(plannedAmount / step) * step);
  const [offered, setOffered] = useState<readonly PlannedLoad[]>();
  const capacity = useCapacity(batch, day, meant);
  const keepRest = useKeepRest();
  const gate = amount > 0 ? measureGate(card, amount) : undefined;
  const jars = jarsOfGate(gate, card, batch) ?? jarsMeant;
  const unit = main?.unit === 'lb' ? 'lb' : 'cups';
  const told: DayTold[] = [
    { type: 'measured', batchId: batch.id, taskId, amount },
    { type: 'step-done', taskId },
  ];
  // What is over of this measure is a part of what these loads took.
  const over = gate?.kind === 'make' && gate.left > 0.02 ? gate.left / amount : 0;
  const share =
    jarsMeant /
    Math.max(
      1,
      batch.loads.reduce((sum, load) => sum + load.jars, 0),
    );
  const crop = mainCropOf(batch);
  const restKg = over * share * massKgOf(batch, crop);
  const rest = { batch, crop, restKg };
  const end = () => router.navigate('/kitchen');
  if (offered) {
    const change = { kind: 'loads', batchId: batch.id, loads: offered } as const;
    const words = `${printFraction(amount, 4)} ${unit}: ${countJars(jars, batch.jar)} instead of ${jarsMeant}`;
    return (
      <OfferPart
        day={day}
        live={live}
        words={words}
        change={change}
        asked={withChange(live.rest, change, household.kitchen.cooks)}
        before={told}
        {...(over > 0 && { usedPart: 1 - over * share, onTake: () => keepRest(rest) })}
        onRefuse={() => setOffered(undefined)}
        onTaken={end}
      />
    );
  }
  const last = Math.max(0, ...batch.loads.map(({ number }) => number));
  const others = later.filter((load) => !meant.includes(load));
  const next = () => {
    if (jars === jarsMeant) {
      told.forEach(tell);
      if (over > 0) {
        tell({ type: 'loads-changed', batchId: batch.id, loads: batch.loads, produceUsed: 1 - over * share });
        keepRest(rest);
      }
      return end();
    }
    setOffered([...gateLoads(meant, jars, capacity, last, uuidV7), ...others]);
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
        onChange={setAmount}
      />
      {gate?.kind === 'make' && (
        <GateAmounts gate={gate} jars={countJars(jars, batch.jar)} planned={jarsMeant} unit={unit} />
      )}
      {gate?.kind === 'wait' && (
        <Words role="alert" size="lead" weight={700} tone="milk">
          {printFraction(gate.missing, 4)} {unit} missing: a box of pectin sets one whole batch, never a part of one.
        </Words>
      )}
      {amount < plannedAmount - 0.1 && main && (
        <ShortPart
          day={day}
          batch={batch}
          card={card}
          missing={(plannedAmount - amount) / main.perBatch}
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

/** Whole jars of the batch's size, in the middle of what the card gives. */
function jarsOfGate(gate: Gate | undefined, { yields }: Card, batch: Batch): number | undefined {
  if (gate?.kind === 'wait') return 0;
  if (!gate?.jars || !yields) return undefined;
  const { low, high } = gate.jars;
  const jarsMeant = batch.loads.reduce((sum, load) => sum + load.jars, 0);
  const [least, most] = [jarsFor(low, yields.jar, batch.jar), jarsFor(high, yields.jar, batch.jar)];
  // What was planned stands while it lies within the page's own range.
  if (batch.loads.length === 1 && jarsMeant >= least && jarsMeant <= most) return jarsMeant;
  return Math.max(1, jarsFor((low + high) / 2, yields.jar, batch.jar));
}
