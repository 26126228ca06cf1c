import { TodayScreen } from '@/features/today/TodayScreen';

export default TodayScreen;
