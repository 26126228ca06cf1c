export type WorkName = 'dayPlan' | 'dayBound' | 'dayCompare' | 'dayEnds' | 'dayLatest' | 'forecast' | 'rest' | 'spring';

/** A thread beside the page that does one kind of work; ended by whoever started it. */
export function startWork(name: WorkName): Worker {
  return new Worker(new URL('./work.worker', window.location.href), { name });
}
