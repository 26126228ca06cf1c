import { JarsScreen } from '@/features/bench/jars/JarsScreen';

export default JarsScreen;
