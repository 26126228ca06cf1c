import { SyrupScreen } from '@/features/bench/syrup/SyrupScreen';

export default SyrupScreen;
