import { useLocalSearchParams } from 'expo-router';
import { KitchenScreen } from '@/features/kitchen/KitchenScreen';

export default function KitchenRoute() {
  const { loadId = '' } = useLocalSearchParams<{ loadId: string }>();
  return <KitchenScreen loadId={loadId} />;
}
