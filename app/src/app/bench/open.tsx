import { OpenAddressesScreen } from '@/features/paper/OpenAddressesScreen';

export default OpenAddressesScreen;
