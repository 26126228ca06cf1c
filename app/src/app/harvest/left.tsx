import { LEFT_KINDS } from '@hoddle/core/harvest/leftOf';
import { useLocalSearchParams } from 'expo-router';
import { LeftScreen } from '@/features/harvest/LeftScreen';

export default function LeftRoute() {
  const { batch, amount = '', kind } = useLocalSearchParams<{ batch: string; amount?: string; kind?: string }>();
  const first = LEFT_KINDS.find((each) => each === kind);
  return <LeftScreen key={batch} batchId={batch} amount={amount} {...(first && { first })} />;
}
