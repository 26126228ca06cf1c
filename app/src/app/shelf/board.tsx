import { useLocalSearchParams } from 'expo-router';
import { BoardScreen } from '@/features/pantry/BoardScreen';

export default function BoardRoute() {
  const {
    product = '',
    jar = '',
    place = 'shelf',
  } = useLocalSearchParams<{ product: string; jar: string; place: string }>();
  return <BoardScreen product={product} jar={jar} place={place} />;
}
