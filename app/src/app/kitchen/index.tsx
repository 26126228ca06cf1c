import { KitchenHome } from '@/features/kitchen/KitchenHome';

export default KitchenHome;
