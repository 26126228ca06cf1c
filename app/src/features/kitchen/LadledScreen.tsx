import { type Batch, nameOf } from '@hoddle/core/day/batch';
import { jarsFromPot, jarsFromVolume } from '@hoddle/core/day/batchFromPot';
import { countJars, JARS, type JarSize } from '@hoddle/core/handbook/jars';
import { productRow } from '@hoddle/core/handbook/products';
import { type OutputRule, outputsOf } from '@hoddle/core/recipe/potOutputs';
import { useRouter } from 'expo-router';
import { v7 as uuidV7 } from 'uuid';
import { type Day } from '@hoddle/core/kitchen/dayInHand';
import { useDay } from '@/household/day/useDay';
import { usePages } from '@/household/process/usePages';
import { useHouseholdStore } from '@/store/householdStore';
import { useHousehold } from '@/store/useHousehold';
import { useSingleTap } from '@/ui/useSingleTap';
import { Words } from '@/ui/Words';
import { KitchenFrame } from './KitchenFrame';
import { KitchenKey } from '@/ui/KitchenKey';
import { MeasuredOff, useVolume } from './MeasuredOff';
import { useTellDay } from '@/household/kitchen/useTellDay';

/** Something was ladled off a pot though nobody planned it: it is measured, and becomes jars of its own or is kept as it is. */
export function LadledScreen({ batchId }: { batchId: string }) {
  const day = useDay();
  const pot = day?.batches.find(({ id }) => id === batchId);
  const rule = pot && outputsOf(pot.product)[0];
  return (
    <KitchenFrame back={{ words: 'To all canners', to: '/kitchen' }} likelyAt={day?.likelyAt} lateAt={day?.lateAt}>
      {day?.live && pot && rule ? (
        <Ladled day={day} pot={pot} rule={rule} />
      ) : (
        <Words size="head" weight={700} tone="milk" className="px-4">
          There is no such pot on the stove.
        </Words>
      )}
    </KitchenFrame>
  );
}

const SIZES: readonly JarSize[] = ['quart', 'pint'];

function Ladled({ day, pot, rule }: { day: Day; pot: Batch; rule: OutputRule }) {
  const router = useRouter();
  const tell = useTellDay(day.id);
  const pages = usePages();
  const { household } = useHousehold();
  const enter = useHouseholdStore((store) => store.enter);
  const volume = useVolume(0);
  const { words, kind, step } = rule;
  const name = productRow(rule.feeds).name.toLowerCase();
  const told = () =>
    tell({ type: 'output-measured', batchId: pot.id, taskId: `${step} ${pot.id}`, kind, volumeMl: volume.ml });
  const can = useSingleTap((batch: Batch) => {
    told();
    void enter({ kind: 'batch', batch });
    router.navigate('/kitchen');
  });
  const keep = useSingleTap(() => {
    told();
    const amount = `${volume.amount} ${volume.unit}`;
    router.replace({ pathname: '/harvest/left', params: { batch: pot.id, amount, kind: 'juice' } });
  });
  const made = SIZES.flatMap((jar) => {
    const batch = jarsFromPot({ pot, kind, jar, jars: jarsFromVolume(volume.ml, jar).jars }, household, pages, () =>
      uuidV7(),
    );
    return batch ? [{ jar, batch }] : [];
  });
  return (
    <MeasuredOff title={`${nameOf(pot)}: how much ${words} came off?`} label={`Measured ${words}`} volume={volume}>
      {made.map(({ jar, batch }) => {
        const { jars, part } = jarsFromVolume(volume.ml, jar);
        const canner = household.canners.find(({ id }) => id === batch.cannerId);
        return (
          <KitchenKey
            key={jar}
            look="milk"
            words={`${countJars(jars, jar)} of ${name}`}
            note={`${batch.processMinutes} min in ${canner?.name ?? 'a canner'}${part > 0.05 ? `, part of a ${JARS[jar].one} over` : ''}`}
            onPress={() => can(batch)}
          />
        );
      })}
      {volume.ml > 0 && made.length === 0 && (
        <Words size="lead" tone="milk-2" role="status">
          Not enough for a full jar, or no canner that is written down takes it.
        </Words>
      )}
      <KitchenKey look="outline" words="Keep it as it is" disabled={volume.ml <= 0} onPress={keep} />
    </MeasuredOff>
  );
}
