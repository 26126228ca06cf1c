import { type DayTold } from '@hoddle/core/kitchen/dayEvent';
import { type Batch, jarsOf, nameOf } from '@hoddle/core/day/batch';
import { jarsFromVolume } from '@hoddle/core/day/batchFromPot';
import { countJars, JARS, quartsPerJar } from '@hoddle/core/handbook/jars';
import { withChange } from '@hoddle/core/kitchen/dayChange';
import { gateLoads } from '@hoddle/core/kitchen/gateLoads';
import { ML_PER_QUART } from '@hoddle/core/measure/amount';
import { outputRule, type PotOutput } from '@hoddle/core/recipe/potOutputs';
import { thinJuiceQuarts } from '@hoddle/core/yields/thinJuice';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { v7 as uuidV7 } from 'uuid';
import { type Day, type LiveDay } from '@hoddle/core/kitchen/dayInHand';
import { useHousehold } from '@/store/useHousehold';
import { Words } from '@/ui/Words';
import { isLater } from './ChangeScreen';
import { KitchenKey } from '@/ui/KitchenKey';
import { useCapacity } from './LoadsChange';
import { MeasuredOff, useVolume } from './MeasuredOff';
import { OfferPart } from './OfferPart';
import { useTellDay } from '@/household/kitchen/useTellDay';

interface TakeOffProps {
  day: Day;
  live: LiveDay;
  /** The batch whose pot it comes off. */
  pot: Batch;
  kind: PotOutput;
  taskId: string;
}

/** What is taken off a pot, measured as it comes: the jars, the loads and the rest of the day follow from it. */
export function TakeOff({ day, live, pot, kind, taskId }: TakeOffProps) {
  const second = day.batches.find(({ from }) => from?.batchId === pot.id && from.kind === kind);
  return second ? (
    <IntoJars day={day} live={live} pot={pot} second={second} kind={kind} taskId={taskId} />
  ) : (
    <AsItIs day={day} pot={pot} kind={kind} taskId={taskId} />
  );
}

function IntoJars({ day, live, pot, second, kind, taskId }: TakeOffProps & { second: Batch }) {
  const router = useRouter();
  const tell = useTellDay(day.id);
  const { household } = useHousehold();
  const later = second.loads.filter((load) => isLater(load, day));
  const planned = jarsOf({ loads: later });
  const capacity = useCapacity(second, day, later);
  const volume = useVolume(planned * quartsPerJar(second.jar) * ML_PER_QUART);
  const [offered, setOffered] = useState<Batch['loads']>();
  const { jars, part } = jarsFromVolume(volume.ml, second.jar);
  const name = nameOf(second).toLowerCase();
  const told: DayTold[] = [
    { type: 'output-measured', batchId: pot.id, taskId, kind, volumeMl: volume.ml },
    { type: 'step-done', taskId },
  ];
  const end = () => router.navigate('/kitchen');
  if (offered) {
    const change = { kind: 'loads', batchId: second.id, loads: offered } as const;
    return (
      <OfferPart
        day={day}
        live={live}
        words={
          jars === 0
            ? `No ${name}: its ${planned} jars are dropped`
            : `${countJars(jars, second.jar)} ${name} instead of ${planned}`
        }
        change={change}
        asked={withChange(live.rest, change, household.kitchen.cooks)}
        before={told}
        onRefuse={() => setOffered(undefined)}
        onTaken={end}
      />
    );
  }
  const next = () => {
    if (jars !== planned) {
      const last = Math.max(0, ...second.loads.map(({ number }) => number));
      return setOffered(gateLoads(later, jars, capacity, last, uuidV7));
    }
    told.forEach((told) => tell(told));
    end();
  };
  return (
    <MeasuredOff {...askedOf(pot, kind)} volume={volume}>
      <View role="status" className="gap-1">
        <Words size="head" weight={700} tone="milk">
          {jars === 0
            ? `Not enough for a full ${JARS[second.jar].one}`
            : `Gives ${countJars(jars, second.jar)} ${name}`}
          ; {planned} were planned.
        </Words>
        {part > 0.05 && (
          <Words size="lead" tone="milk-2">
            {jars === 0 ? 'It is' : `About ${Math.round(part * 100)} % of a ${JARS[second.jar].one} more is`} for today,
            or for the refrigerator.
          </Words>
        )}
      </View>
      <KitchenKey look="milk" words={jars === planned ? 'As planned: go on' : 'See what it changes'} onPress={next} />
    </MeasuredOff>
  );
}

/** Nothing was planned of it: it is measured for the record, and drunk or kept cold. */
function AsItIs({ day, pot, kind, taskId }: Omit<TakeOffProps, 'live'>) {
  const router = useRouter();
  const tell = useTellDay(day.id);
  const { batchRecords } = useHousehold();
  const { crop } = pot.uses[0] ?? {};
  const kg = pot.uses.reduce((sum, { massKg }) => sum + massKg, 0);
  const likely = crop && thinJuiceQuarts(pot.product, crop, kg, batchRecords);
  const volume = useVolume((likely?.p50 ?? 1) * ML_PER_QUART);
  return (
    <MeasuredOff {...askedOf(pot, kind)} volume={volume}>
      <Words size="lead" tone="milk-2">
        It is not planned as jars: use it today, or put it into the refrigerator within 2 hours.
      </Words>
      <KitchenKey
        look="milk"
        words="Measured: go on"
        onPress={() => {
          tell({ type: 'output-measured', batchId: pot.id, taskId, kind, volumeMl: volume.ml });
          tell({ type: 'step-done', taskId });
          router.navigate('/kitchen');
        }}
      />
    </MeasuredOff>
  );
}

function askedOf(pot: Batch, kind: PotOutput) {
  const { words } = outputRule(kind);
  return { title: `${nameOf(pot)}: how much ${words} came off?`, label: `Measured ${words}` };
}
