import { useLocalSearchParams } from 'expo-router';
import { LotScreen } from '@/features/pantry/LotScreen';

export default function LotRoute() {
  const { lotId = '' } = useLocalSearchParams<{ lotId: string }>();
  return <LotScreen key={lotId} lotId={lotId} />;
}
