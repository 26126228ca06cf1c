import { useLocalSearchParams } from 'expo-router';
import { MeasureScreen } from '@/features/kitchen/MeasureScreen';

export default function MeasureRoute() {
  const { taskId } = useLocalSearchParams<{ taskId: string }>();
  return <MeasureScreen key={taskId} taskId={taskId} />;
}
