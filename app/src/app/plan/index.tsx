import { PlanScreen } from '@/features/day/PlanScreen';

export default PlanScreen;
