import { WhatIfScreen } from '@/features/season/WhatIfScreen';

export default WhatIfScreen;
