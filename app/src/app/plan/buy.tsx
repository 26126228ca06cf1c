import { ShoppingScreen } from '@/features/season/ShoppingScreen';

export default ShoppingScreen;
