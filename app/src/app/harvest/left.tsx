import { useLocalSearchParams } from 'expo-router';
import { LeftScreen } from '@/features/harvest/LeftScreen';

export default function LeftRoute() {
  const { batch } = useLocalSearchParams<{ batch: string }>();
  return <LeftScreen key={batch} batchId={batch} />;
}
