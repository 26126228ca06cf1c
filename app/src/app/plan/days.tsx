import { DaysScreen } from '@/features/season/DaysScreen';

export default DaysScreen;
