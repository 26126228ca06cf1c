import { useRouter } from 'expo-router';
import { Key } from '@/ui/Key';
import { Screen } from '@/ui/Screen';
import { Words } from '@/ui/Words';

export default function NotFoundRoute() {
  const router = useRouter();
  return (
    <Screen station="today" title="Nothing here">
      <Words className="pb-4">This address leads nowhere in Hoddle.</Words>
      <Key words="To Today" onPress={() => router.navigate('/')} />
    </Screen>
  );
}
