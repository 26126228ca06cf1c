import { ChangeScreen } from '@/features/kitchen/ChangeScreen';

export default ChangeScreen;
