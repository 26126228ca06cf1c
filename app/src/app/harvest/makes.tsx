import { useLocalSearchParams } from 'expo-router';
import { JarsFromScreen } from '@/features/yields/JarsFromScreen';

export default function MakesRoute() {
  const { crop = '' } = useLocalSearchParams<{ crop: string }>();
  return <JarsFromScreen crop={crop} />;
}
