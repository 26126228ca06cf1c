import { type Batch } from './batch';

/** A batch with those that are begun when it is: what shares a canner load with it, and what one pot gives another. */
export function movesWith(batch: Batch, batches: readonly Batch[]): Batch[] {
  const loadsOf = ({ loads }: Batch) => new Set(loads.flatMap(({ id, withLoadId }) => withLoadId ?? id));
  const isTied = (one: Batch, other: Batch) => {
    const own = loadsOf(one);
    const shares = [...loadsOf(other)].some((id) => own.has(id));
    return shares || one.from?.batchId === other.id || other.from?.batchId === one.id;
  };
  const group = [batch];
  for (const one of group)
    group.push(...batches.filter((other) => !group.some(({ id }) => id === other.id) && isTied(one, other)));
  return group;
}
