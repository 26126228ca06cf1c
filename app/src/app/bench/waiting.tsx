import { WaitingScreen } from '@/features/signal/WaitingScreen';

export default WaitingScreen;
