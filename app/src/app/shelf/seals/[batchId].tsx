import { useLocalSearchParams } from 'expo-router';
import { SealsScreen } from '@/features/pantry/SealsScreen';

export default function SealsRoute() {
  const { batchId = '' } = useLocalSearchParams<{ batchId: string }>();
  return <SealsScreen key={batchId} batchId={batchId} />;
}
