import { useLocalSearchParams } from 'expo-router';
import { ChangeScreen } from '@/features/bench/change/ChangeScreen';

export default function ChangeProductRoute() {
  const { product } = useLocalSearchParams<{ product: string }>();
  return <ChangeScreen product={product} />;
}
