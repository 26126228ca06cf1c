import { CalendarScreen } from '@/features/paper/CalendarScreen';

export default CalendarScreen;
