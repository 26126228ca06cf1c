import { PasteScreen } from '@/features/recipe/own/PasteScreen';

export default PasteScreen;
