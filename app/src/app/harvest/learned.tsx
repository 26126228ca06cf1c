import { useLocalSearchParams } from 'expo-router';
import { LearnedScreen } from '@/features/yields/LearnedScreen';

export default function LearnedRoute() {
  const { product = '', crop = '' } = useLocalSearchParams<{ product: string; crop: string }>();
  return <LearnedScreen product={product} crop={crop} />;
}
