import { useLocalSearchParams } from 'expo-router';
import { JarsFromScreen } from '@/features/yields/JarsFromScreen';

export default function MakesRoute() {
  const { crop = '', lot } = useLocalSearchParams<{ crop: string; lot?: string }>();
  return <JarsFromScreen key={`${crop} ${lot}`} crop={crop} lot={lot} />;
}
