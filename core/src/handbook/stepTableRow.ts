/** Minutes, or what the number N of a sequence entry (`boil-5`, `salt-ice-3h`) makes of it; T is the tested time. */
export type TableMinutes = number | 'N' | 'N*60' | 'N*60+60' | 'N*120' | 'T';

/** One step as the table of steps prints it. */
export type StepTableRow = readonly [
  step: string,
  words: string,
  handsPerLbLow: number,
  handsPerLbHigh: number,
  fixedLow: number,
  fixedHigh: number,
  waitLow: TableMinutes,
  waitHigh: TableMinutes,
  resources: string,
  longestPauseAfter: number | null,
  holding: string,
  note: string,
];
