import { harvestYieldRow } from '@hoddle/core/handbook/harvestYields';
import { useRouter } from 'expo-router';
import { v7 as uuidV7 } from 'uuid';
import { useHouseholdStore } from '@/store/householdStore';
import { useHousehold } from '@/store/useHousehold';
import { recentCrops } from '@/ui/CropKeys';
import { BedForm } from './BedForm';

/** A bed or tree that is set up for the first time. */
export function NewBedScreen() {
  const router = useRouter();
  const enter = useHouseholdStore((store) => store.enter);
  const { picks } = useHousehold();
  const crop = recentCrops(picks)[0] ?? 'tomato-paste';
  return (
    <BedForm
      title="A bed or tree"
      backTo="/harvest/garden"
      first={{
        crop,
        name: '',
        count: '',
        unit: harvestYieldRow(crop).usual,
        firstWeek: 30,
        peakWeek: 34,
        lastWeek: 39,
        usual: '',
      }}
      onSave={(planting) => {
        const id = uuidV7();
        void enter({ kind: 'planting', planting: { ...planting, id } }).then(() =>
          router.replace({ pathname: '/harvest/garden/[plantingId]', params: { plantingId: id } }),
        );
      }}
    />
  );
}
