import { useLocalSearchParams } from 'expo-router';
import { CodeScreen } from '@/features/pantry/CodeScreen';

/** Where the drawn code of a label leads; in capitals, as it stands there. */
export default function LabelRoute() {
  const { code = '' } = useLocalSearchParams<{ code: string }>();
  return <CodeScreen key={code} code={code} />;
}
