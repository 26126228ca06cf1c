import { PickScreen } from '@/features/harvest/PickScreen';

export default PickScreen;
