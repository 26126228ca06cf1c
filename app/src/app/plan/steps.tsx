import { StepsScreen } from '@/features/day/StepsScreen';

export default StepsScreen;
