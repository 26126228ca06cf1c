import { useLocalSearchParams } from 'expo-router';
import { LoadScreen } from '@/features/canner/LoadScreen';

export default function LoadRoute() {
  const { loadId = '' } = useLocalSearchParams<{ loadId: string }>();
  return <LoadScreen key={loadId} loadId={loadId} />;
}
