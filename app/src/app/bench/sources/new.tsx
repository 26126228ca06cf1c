import { useLocalSearchParams } from 'expo-router';
import { SourceFormScreen } from '@/features/bench/sources/SourceFormScreen';

export default function NewSourceRoute() {
  return (
    <SourceFormScreen {...useLocalSearchParams<{ product?: string; jar?: string; pack?: string; method?: string }>()} />
  );
}
