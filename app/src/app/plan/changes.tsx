import { ChangesScreen } from '@/features/season/ChangesScreen';

export default ChangesScreen;
