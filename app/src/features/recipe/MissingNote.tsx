import { type Batch } from '@hoddle/core/day/batch';
import { CROP_NAMES } from '@hoddle/core/handbook/crops';
import { useMassWords } from '@/store/useUnits';
import { Words } from '@/ui/Words';
import { useMissingOf } from './useBatchAmounts';

/** In one line, what a planned batch takes and is not here; nothing where all of it is. */
export function MissingNote({ batch }: { batch: Batch }) {
  const mass = useMassWords();
  const missing = useMissingOf(batch);
  if (missing.length === 0) return null;
  const each = missing.map(({ crop, massKg, text }) =>
    massKg === undefined ? `${text} a batch` : `${mass(massKg)} ${CROP_NAMES[crop].toLowerCase()}`,
  );
  return (
    <Words size="label" weight={700}>
      Missing: {each.join(', ')}.
    </Words>
  );
}
