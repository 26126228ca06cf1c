import { useLocalSearchParams } from 'expo-router';
import { TroubleScreen } from '@/features/pantry/TroubleScreen';

export default function TroubleRoute() {
  const { lotId = '' } = useLocalSearchParams<{ lotId: string }>();
  return <TroubleScreen key={lotId} lotId={lotId} />;
}
