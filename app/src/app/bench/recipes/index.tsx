import { RecipesScreen } from '@/features/recipe/own/RecipesScreen';

export default RecipesScreen;
