import { SpringScreen } from '@/features/season/spring/SpringScreen';

export default SpringScreen;
