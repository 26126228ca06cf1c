import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { Key } from '@/ui/Key';
import { Words } from '@/ui/Words';

/** Whoever leaves the kitchen of a rehearsal ends it first: what is written elsewhere stays. */
export function NotInRehearsal() {
  const router = useRouter();
  return (
    <View className="flex-1 items-center justify-center gap-4 bg-ground p-6" role="main">
      <Words size="lead" weight={700} className="max-w-[420px] text-center">
        This is not part of a rehearsal. End it first, or go back to its kitchen.
      </Words>
      <Key words="Back to the kitchen" onPress={() => router.navigate('/kitchen')} />
    </View>
  );
}
