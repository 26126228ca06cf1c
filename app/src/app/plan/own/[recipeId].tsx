import { useLocalSearchParams } from 'expo-router';
import { MakeOwnScreen } from '@/features/recipe/own/MakeOwnScreen';

export default function MakeOwnRoute() {
  const { recipeId } = useLocalSearchParams<{ recipeId: string }>();
  return <MakeOwnScreen recipeId={recipeId} />;
}
