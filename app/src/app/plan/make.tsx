import { useLocalSearchParams } from 'expo-router';
import { MakeScreen } from '@/features/process/MakeScreen';

export default function MakeRoute() {
  const {
    crop = '',
    product = '',
    jar = '',
    lots,
  } = useLocalSearchParams<{ crop: string; product: string; jar: string; lots?: string }>();
  return <MakeScreen key={`${crop} ${product} ${jar}`} crop={crop} product={product} jar={jar} lots={lots} />;
}
