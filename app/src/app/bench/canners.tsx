import { CannersScreen } from '@/features/bench/canners/CannersScreen';

export default CannersScreen;
