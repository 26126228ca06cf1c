import { useLocalSearchParams } from 'expo-router';
import { LeftScreen } from '@/features/harvest/LeftScreen';

export default function LeftRoute() {
  const { batch, amount = '' } = useLocalSearchParams<{ batch: string; amount?: string }>();
  return <LeftScreen key={batch} batchId={batch} amount={amount} />;
}
