import { type Batch } from '@hoddle/core/day/batch';
import { tableWords } from '@hoddle/core/kitchen/byTheTable';
import { Words } from './Words';

/** Where the table says another thing than the plan did: what holds now. */
export function TableNote({ batch, tone = 'ink' }: { batch: Batch; tone?: 'ink' | 'milk' }) {
  const words = tableWords(batch);
  return words === undefined ? null : (
    <Words weight={700} tone={tone} role="alert">
      {words}
    </Words>
  );
}
