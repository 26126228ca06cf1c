import { DevicesScreen } from '@/features/bench/devices/DevicesScreen';

export default DevicesScreen;
