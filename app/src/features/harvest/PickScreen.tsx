import { useRouter } from 'expo-router';
import { v7 as uuidV7 } from 'uuid';
import { useHouseholdStore } from '@/store/householdStore';
import { useHousehold } from '@/store/useHousehold';
import { recentCrops } from '@/ui/CropKeys';
import { PickForm } from './PickForm';
import { newDraft } from './usePickEntry';

/** "68 lb of paste tomatoes, picked today, 12 lb of it soft": one hand, in the garden. */
export function PickScreen() {
  const router = useRouter();
  const enter = useHouseholdStore((store) => store.enter);
  const { picks } = useHousehold();
  return (
    <PickForm
      title="What came in?"
      first={newDraft(recentCrops(picks)[0] ?? 'tomato-paste')}
      keyWords="Picked"
      backTo="/harvest"
      onSave={(pick) => {
        void enter({ kind: 'pick', pick: { ...pick, id: uuidV7() } }).then(() =>
          router.replace({ pathname: '/harvest/makes', params: { crop: pick.crop } }),
        );
      }}
    />
  );
}
