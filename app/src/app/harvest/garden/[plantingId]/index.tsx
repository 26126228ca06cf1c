import { useLocalSearchParams } from 'expo-router';
import { BedScreen } from '@/features/harvest/garden/BedScreen';

export default function BedRoute() {
  const { plantingId } = useLocalSearchParams<{ plantingId: string }>();
  return <BedScreen plantingId={plantingId} />;
}
