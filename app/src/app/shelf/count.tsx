import { CountScreen } from '@/features/pantry/CountScreen';

export default CountScreen;
