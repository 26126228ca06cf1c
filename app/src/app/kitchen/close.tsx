import { CloseScreen } from '@/features/kitchen/CloseScreen';

export default CloseScreen;
