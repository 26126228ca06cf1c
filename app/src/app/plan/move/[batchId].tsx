import { useLocalSearchParams } from 'expo-router';
import { MoveScreen } from '@/features/day/MoveScreen';

export default function MoveRoute() {
  const { batchId = '' } = useLocalSearchParams<{ batchId: string }>();
  return <MoveScreen key={batchId} batchId={batchId} />;
}
