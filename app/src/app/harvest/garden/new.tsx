import { NewBedScreen } from '@/features/harvest/garden/NewBedScreen';

export default NewBedScreen;
