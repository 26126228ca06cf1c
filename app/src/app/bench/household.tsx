import { HouseholdScreen } from '@/features/bench/HouseholdScreen';

export default HouseholdScreen;
