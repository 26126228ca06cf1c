/** What a calendar may tell: preserving days, their steps, what calls within a step, and how long jars keep. */
export const CALENDAR_PARTS = ['days', 'steps', 'calls', 'jars'] as const;
export type CalendarPart = (typeof CALENDAR_PARTS)[number];
