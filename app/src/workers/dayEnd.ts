/** When one of the days asked about is over, in minutes from its start; undefined where no plan was found. */
export interface DayEnd {
  readonly index: number;
  readonly endMin?: number;
}
