import { useLocalSearchParams } from 'expo-router';
import { CannerScreen } from '@/features/bench/canners/CannerScreen';

export default function CannerRoute() {
  const { cannerId } = useLocalSearchParams<{ cannerId: string }>();
  return <CannerScreen cannerId={cannerId} />;
}
