import { BoilScreen } from '@/features/bench/boil/BoilScreen';

export default BoilScreen;
