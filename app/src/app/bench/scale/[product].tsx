import { useLocalSearchParams } from 'expo-router';
import { ScaleScreen } from '@/features/bench/scale/ScaleScreen';

export default function ScaleProductRoute() {
  const { product } = useLocalSearchParams<{ product: string }>();
  return <ScaleScreen product={product} />;
}
