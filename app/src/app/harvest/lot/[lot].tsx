import { useLocalSearchParams } from 'expo-router';
import { LotScreen } from '@/features/harvest/LotScreen';

export default function LotRoute() {
  const { lot } = useLocalSearchParams<{ lot: string }>();
  return <LotScreen lotId={lot} />;
}
