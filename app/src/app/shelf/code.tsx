import { CodeScreen } from '@/features/pantry/CodeScreen';

export default function CodeRoute() {
  return <CodeScreen />;
}
