import { YearsScreen } from '@/features/season/YearsScreen';

export default YearsScreen;
