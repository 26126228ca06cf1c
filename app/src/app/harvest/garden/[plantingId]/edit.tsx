import { useLocalSearchParams } from 'expo-router';
import { EditBedScreen } from '@/features/harvest/garden/EditBedScreen';

export default function EditBedRoute() {
  const { plantingId } = useLocalSearchParams<{ plantingId: string }>();
  return <EditBedScreen plantingId={plantingId} />;
}
