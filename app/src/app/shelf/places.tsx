import { PlacesScreen } from '@/features/pantry/PlacesScreen';

export default PlacesScreen;
