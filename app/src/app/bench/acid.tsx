import { AcidScreen } from '@/features/bench/acid/AcidScreen';

export default AcidScreen;
