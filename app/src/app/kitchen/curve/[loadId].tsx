import { useLocalSearchParams } from 'expo-router';
import { CurveScreen } from '@/features/instruments/CurveScreen';

export default function CurveRoute() {
  const { loadId = '' } = useLocalSearchParams<{ loadId: string }>();
  return <CurveScreen loadId={loadId} />;
}
