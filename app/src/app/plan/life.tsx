import { LifeScreen } from '@/features/day/life/LifeScreen';

export default LifeScreen;
