import { NextScreen } from '@/features/pantry/NextScreen';

export default NextScreen;
