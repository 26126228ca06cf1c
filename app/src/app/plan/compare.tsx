import { CompareScreen } from '@/features/day/life/CompareScreen';

export default CompareScreen;
