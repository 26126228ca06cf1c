import { type Batch } from '@hoddle/core/day/batch';
import { laterForRecipe } from '@hoddle/core/day/takeForRecipe';
import { CROP_NAMES } from '@hoddle/core/handbook/crops';
import { useLots } from '@/household/harvest/useOnHand';
import { useTellDay } from '@/household/kitchen/useTellDay';
import { useMassWords } from '@/store/useUnits';
import { Key } from '@/ui/Key';

/** Crops of a planned batch that came in since: one key reserves them for it. */
export function TakeLater({ batch, dayId }: { batch: Batch; dayId: string }) {
  const tell = useTellDay(dayId);
  const mass = useMassWords();
  const uses = laterForRecipe(batch, useLots());
  if (uses.length === 0) return null;
  const crops = [...new Set(uses.flatMap(({ crop }) => crop ?? []))];
  const words = crops.map((crop) => {
    const kg = uses.reduce((sum, use) => sum + (use.crop === crop ? use.massKg : 0), 0);
    return `${mass(kg)} ${CROP_NAMES[crop].toLowerCase()}`;
  });
  return (
    <Key
      look="outline"
      words={`Take ${words.join(', ')} for it`}
      onPress={() => uses.forEach((use) => tell({ type: 'produce-added', batchId: batch.id, use }))}
    />
  );
}
