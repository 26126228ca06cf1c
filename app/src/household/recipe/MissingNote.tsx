import { type Batch } from '@hoddle/core/day/batch';
import { useMassWords } from '@/store/useUnits';
import { Words } from '@/ui/Words';
import { missingWords } from './missingWords';
import { useMissingOf } from './useBatchAmounts';

/** In one line, what a planned batch takes and is not here; nothing where all of it is. */
export function MissingNote({ batch }: { batch: Batch }) {
  const mass = useMassWords();
  const missing = useMissingOf(batch);
  if (missing.length === 0) return null;
  return (
    <Words size="label" weight={700}>
      {missingWords(missing, mass)}
    </Words>
  );
}
