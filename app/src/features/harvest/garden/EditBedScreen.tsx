import { useRouter } from 'expo-router';
import { useHouseholdStore } from '@/store/householdStore';
import { useHousehold } from '@/store/useHousehold';
import { useUnits } from '@/store/useUnits';
import { Screen } from '@/ui/Screen';
import { Words } from '@/ui/Words';
import { BedForm, draftOfBed } from './BedForm';

/** A bed put right, or struck out. */
export function EditBedScreen({ plantingId }: { plantingId: string }) {
  const router = useRouter();
  const enter = useHouseholdStore((store) => store.enter);
  const unit = useUnits() === 'metric' ? 'kg' : 'lb';
  const planting = useHousehold().plantings.find(({ id }) => id === plantingId);
  if (!planting) {
    return (
      <Screen station="harvest" title="No such bed" backTo="/harvest/garden">
        <Words>It was struck out. Its picks are still there.</Words>
      </Screen>
    );
  }
  return (
    <BedForm
      title={planting.name}
      backTo={`/harvest/garden/${plantingId}`}
      first={draftOfBed(planting, unit)}
      onSave={(changed) => {
        void enter({ kind: 'planting', planting: { ...changed, id: plantingId } });
        router.navigate({ pathname: '/harvest/garden/[plantingId]', params: { plantingId } });
      }}
      onStrikeOut={() => {
        void enter({ kind: 'planting-struck', plantingId });
        router.navigate('/harvest/garden');
      }}
    />
  );
}
