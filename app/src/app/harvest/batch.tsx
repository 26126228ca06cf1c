import { useLocalSearchParams } from 'expo-router';
import { BatchRecordScreen } from '@/features/yields/record/BatchRecordScreen';

export default function BatchRecordRoute() {
  const { batch } = useLocalSearchParams<{ batch?: string }>();
  return <BatchRecordScreen key={batch} batchId={batch} />;
}
