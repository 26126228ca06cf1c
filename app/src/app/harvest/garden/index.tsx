import { GardenScreen } from '@/features/harvest/garden/GardenScreen';

export default GardenScreen;
