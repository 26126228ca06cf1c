import { type Batch, jarCounts } from '@hoddle/core/day/batch';
import { countJars, JARS } from '@hoddle/core/handbook/jars';
import { type DayChange } from '@hoddle/core/kitchen/dayChange';
import { type OtherProduct, otherProducts } from '@hoddle/core/kitchen/otherProducts';
import { asOther, begunOf, loadsAsOther } from '@hoddle/core/kitchen/potChanges';
import { View } from 'react-native';
import { v7 as uuidV7 } from 'uuid';
import { type Day, type LiveDay } from '@hoddle/core/kitchen/dayInHand';
import { usePages } from '@/household/process/usePages';
import { useLearned } from '@/household/yields/useLearned';
import { Words } from '@/ui/Words';
import { KitchenKey } from '@/ui/KitchenKey';
import { useCapacity } from './LoadsChange';
import { potName } from './PotsPart';

interface BecomesPartProps {
  day: Day;
  live: LiveDay;
  batch: Batch;
  onChoose: (words: string, change: DayChange) => void;
  onBack: () => void;
}

type Other = Extract<OtherProduct, { kind: 'other' }>;

/** What the pot of a batch may become midway, each with its own minutes and likely jars; and what nobody tested it as. */
export function BecomesPart({ day, live, batch, onChoose, onBack }: BecomesPartProps) {
  const pages = usePages();
  const learned = useLearned();
  const capacity = useCapacity(batch, day, batch.loads);
  const { running, progress } = live;
  const all = otherProducts(batch, begunOf(batch.id, running, progress), pages);
  const name = potName(batch, day.batches);
  return (
    <View className="w-full max-w-[640px] gap-4 px-4 pb-8">
      <Words size="head" weight={700} tone="milk">
        What does the {name} become?
      </Words>
      <Words size="lead" tone="milk-2">
        All of its produce and what is done by now go over. It is processed by its own tested time, and written down as
        what it is.
      </Words>
      {all.map((other) => {
        if (other.kind === 'untested') return null;
        const loads = loadsAsOther(batch, other.card.product, capacity, () => uuidV7(), learned);
        const jars = loads.reduce((sum, load) => sum + load.jars, 0);
        const counted = jarCounts(batch).length > 1 ? 'the same jars' : `about ${countJars(jars, batch.jar)}`;
        return (
          <KitchenKey
            key={other.card.product}
            look="outline"
            words={other.name}
            note={`${minutesWords(other)}, ${counted}`}
            onPress={() =>
              onChoose(`${other.name} instead of ${name}`, asOther(batch, other, loads, live.rest, running))
            }
          />
        );
      })}
      {all.map((other) =>
        other.kind === 'other' ? null : (
          <Words key={other.name} size="lead" tone="milk-2">
            Not {other.name.toLowerCase()}: {other.reason}
          </Words>
        ),
      )}
      <Words size="lead" tone="milk-2">
        What nobody tested goes to the refrigerator or the freezer, or is cooked on.
      </Words>
      <KitchenKey look="outline" words="Leave it as it was" onPress={onBack} />
    </View>
  );
}

/** "35 min"; of several sizes each: "35 min pints, 40 min quarts". */
function minutesWords({ card, minutesOf }: Other): string {
  if (minutesOf.size < 2) return `${card.processMinutes} min`;
  return [...minutesOf].map(([jar, minutes]) => `${minutes} min ${JARS[jar].several}`).join(', ');
}
