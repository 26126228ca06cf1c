import { HarvestScreen } from '@/features/harvest/HarvestScreen';

export default HarvestScreen;
