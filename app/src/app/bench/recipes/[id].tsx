import { useLocalSearchParams } from 'expo-router';
import { PageScreen } from '@/features/recipe/own/PageScreen';

export default function RecipePageRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <PageScreen id={id} />;
}
