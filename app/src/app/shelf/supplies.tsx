import { SuppliesScreen } from '@/features/pantry/SuppliesScreen';

export default SuppliesScreen;
