import { ConvertScreen } from '@/features/bench/convert/ConvertScreen';

export default ConvertScreen;
