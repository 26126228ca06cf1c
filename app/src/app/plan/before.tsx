import { BeforeScreen } from '@/features/day/BeforeScreen';

export default BeforeScreen;
