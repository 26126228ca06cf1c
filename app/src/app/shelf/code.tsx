import { CodeScreen } from '@/features/pantry/CodeScreen';

export default CodeScreen;
