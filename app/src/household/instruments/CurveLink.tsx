import { useHousehold } from '@/store/useHousehold';
import { RowLink } from '@/ui/RowLink';
import { Words } from '@/ui/Words';

/** Where something was read in a canner, its curve. */
export function CurveLink({ loadId, light = false }: { loadId: string; light?: boolean }) {
  const { curves } = useHousehold();
  if (!curves.some(({ id }) => id === loadId)) return null;
  return (
    <RowLink href={{ pathname: '/kitchen/curve/[loadId]', params: { loadId } }} className="min-h-[48px] justify-center">
      <Words size="lead" weight={700} tone={light ? 'cobalt' : 'milk'}>
        What the probe read
      </Words>
    </RowLink>
  );
}
