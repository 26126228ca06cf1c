import { useLocalSearchParams } from 'expo-router';
import { BrineScreen } from '@/features/bench/brine/BrineScreen';

export default function BrineProductRoute() {
  const { product } = useLocalSearchParams<{ product: string }>();
  return <BrineScreen product={product} />;
}
