import { TestedScreen } from '@/features/bench/tested/TestedScreen';

export default function TestedRoute() {
  return <TestedScreen />;
}
