import { useLocalSearchParams } from 'expo-router';
import { TestedScreen } from '@/features/bench/tested/TestedScreen';

export default function TestedProductRoute() {
  const { product, jar } = useLocalSearchParams<{ product: string; jar?: string }>();
  return <TestedScreen product={product} jar={jar} />;
}
