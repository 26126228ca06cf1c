import { useLocalSearchParams } from 'expo-router';
import { LabelsScreen } from '@/features/pantry/labels/LabelsScreen';

export default function LabelsRoute() {
  const { lots = '' } = useLocalSearchParams<{ lots: string }>();
  return <LabelsScreen lots={lots === '' ? [] : lots.split(',')} />;
}
