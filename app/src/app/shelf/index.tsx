import { ShelfScreen } from '@/features/pantry/ShelfScreen';

export default ShelfScreen;
