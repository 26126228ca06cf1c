import { useLocalSearchParams } from 'expo-router';
import { CorrectPickScreen } from '@/features/harvest/CorrectPickScreen';

export default function CorrectPickRoute() {
  const { pickId } = useLocalSearchParams<{ pickId: string }>();
  return <CorrectPickScreen pickId={pickId} />;
}
