import { useHousehold } from '@/store/useHousehold';
import { RowLink } from '@/ui/RowLink';
import { Words } from '@/ui/Words';
import { usePantry } from '@/household/pantry/usePantry';
import { justSealed } from './justSealed';

/** The way from jars that were just sealed to their labels. */
export function LabelsToMake({ now }: { now: number }) {
  const { movements } = useHousehold();
  const { stocked } = usePantry();
  const fresh = justSealed(movements, now);
  const jars = stocked.reduce((sum, lot) => sum + (fresh.has(lot.id) ? lot.jars : 0), 0);
  if (jars === 0) return null;
  return (
    <RowLink href="/shelf/labels" className="min-h-[48px] justify-center px-4">
      <Words weight={700} tone="cobalt">
        {jars === 1 ? 'Its label: 1 jar just came' : `Labels for the ${jars} jars that just came`}
      </Words>
    </RowLink>
  );
}
