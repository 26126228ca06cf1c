import { SeasonScreen } from '@/features/season/SeasonScreen';

export default SeasonScreen;
