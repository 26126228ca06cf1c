import { useLocalSearchParams } from 'expo-router';
import { ScanScreen } from '@/features/pantry/scan/ScanScreen';

export default function ScanRoute() {
  const { for: purpose = 'look', place = '' } = useLocalSearchParams<{ for: string; place: string }>();
  return <ScanScreen purpose={purpose === 'take' || purpose === 'count' ? purpose : 'look'} place={place} />;
}
