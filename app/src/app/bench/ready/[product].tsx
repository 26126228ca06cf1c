import { useLocalSearchParams } from 'expo-router';
import { ReadyScreen } from '@/features/bench/ready/ReadyScreen';

export default function ReadyProductRoute() {
  const { product } = useLocalSearchParams<{ product: string }>();
  return <ReadyScreen product={product} />;
}
