import { useLocalSearchParams } from 'expo-router';
import { LadledScreen } from '@/features/kitchen/LadledScreen';

export default function LadledRoute() {
  const { batch } = useLocalSearchParams<{ batch: string }>();
  return <LadledScreen key={batch} batchId={batch} />;
}
