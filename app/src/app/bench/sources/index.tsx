import { SourcesScreen } from '@/features/bench/sources/SourcesScreen';

export default SourcesScreen;
