import { WantedScreen } from '@/features/pantry/WantedScreen';

export default WantedScreen;
