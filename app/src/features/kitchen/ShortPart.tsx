import { type Batch, mainCropOf } from '@hoddle/core/day/batch';
import { moreForBatch } from '@hoddle/core/kitchen/moreForBatch';
import { withoutPectin } from '@hoddle/core/kitchen/withoutPectin';
import { recipeName } from '@hoddle/core/recipe/recipeName';
import { View } from 'react-native';
import { type Day } from '@hoddle/core/kitchen/dayInHand';
import { PLACE_NAMES } from '@/household/harvest/keepingWords';
import { lotKey, useLots } from '@/household/harvest/useOnHand';
import { usePages } from '@/household/process/usePages';
import { useLearned } from '@/household/yields/useLearned';
import { useHousehold } from '@/store/useHousehold';
import { useMassWords } from '@/store/useUnits';
import { weekday } from '@/ui/clockWords';
import { Words } from '@/ui/Words';
import { KitchenKey } from '@/ui/KitchenKey';
import { useTellDay } from '@/household/kitchen/useTellDay';

interface ShortPartProps {
  day: Day;
  batch: Batch;
  /** The load it is measured for; undefined where it is measured once for all. */
  loadId?: string;
  /** Batches of the card that are missing. */
  missing: number;
  /** So many batches more are there now. */
  onAdded: (batches: number) => void;
}

/** Too little was measured: more fruit of a lot that is there, or a recipe that may be made smaller. */
export function ShortPart({ day, batch, loadId, missing, onAdded }: ShortPartProps) {
  const tell = useTellDay(day.id);
  const mass = useMassWords();
  const { picks } = useHousehold();
  const more = moreForBatch(batch, missing, useLots(), useLearned());
  const other = withoutPectin(batch, usePages(), day.live?.progress.cannerOf);
  const crop = mainCropOf(batch);
  return (
    <View className="gap-3">
      {more.map(({ lot, use, batches }) => (
        <KitchenKey
          key={lotKey(lot)}
          look="outline"
          words={`Take ${mass(use.massKg)} more`}
          note={`${weekday(picks.find(({ id }) => id === lot.pickId)?.pickedAt ?? 0)}, ${PLACE_NAMES[lot.place].toLowerCase()}: ${mass(lot.massKg)}`}
          onPress={() => {
            tell({ type: 'produce-added', batchId: batch.id, ...(loadId !== undefined && { loadId }), use });
            onAdded(batches);
          }}
        />
      ))}
      {more.length === 0 && (
        <Words size="lead" tone="milk-2">
          No more of it is on hand, in the freezer neither.
        </Words>
      )}
      {other && (
        <KitchenKey
          look="outline"
          words="Make it without added pectin"
          note={`${recipeName({ ...other, ...(crop && { crop }) })}, any amount, ${other.processMinutes} min`}
          onPress={() => tell({ type: 'recipe-changed', batchId: batch.id, ...other })}
        />
      )}
    </View>
  );
}
