import { tellDayBound } from './dayBound';
import { tellDayCompare } from './dayCompare';
import { tellDayEnds } from './dayEnds';
import { tellDayLatest } from './dayLatest';
import { tellDayPlan } from './dayPlan';
import { tellForecast } from './forecast';
import { tellRest } from './rest';
import { tellSpring } from './spring';
import { type WorkName } from './startWork';

/** All that is worked out beside the page is one file: it shares the handbook, and is fetched and kept once. */
const WORK: Readonly<Record<WorkName, (data: never) => void>> = {
  dayPlan: tellDayPlan,
  dayBound: tellDayBound,
  dayCompare: tellDayCompare,
  dayEnds: tellDayEnds,
  dayLatest: tellDayLatest,
  forecast: tellForecast,
  rest: tellRest,
  spring: tellSpring,
};

self.onmessage = ({ data }: MessageEvent) => WORK[self.name as WorkName](data as never);
