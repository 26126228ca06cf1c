import { JARS } from '../../handbook/jars';
import { type Priority } from '../../pantry/shelfGoal';
import { type SeasonGoal } from './seasonProblem';

/** What a quart is worth by priority, in points. Common practice: staples before treats, then gifts, then sale. */
const POINTS: Readonly<Record<Priority, number>> = { staple: 10, want: 6, gift: 4 };

/** A goal's first half matters in full, then less: half a shelf of two things is better than all of one. */
const FALLING = [
  { upTo: 0.5, worth: 1 },
  { upTo: 0.8, worth: 0.75 },
  { upTo: 1, worth: 0.5 },
] as const;

/** What things cost, in the same points. An hour of work is worth less than a quart of a staple;
 * the pots, the towels and the cleaning of one more product are worth a jar or two, of one more day a little more. */
export const COSTS = {
  handsMinute: 1 / 60,
  beginProduct: 2.5,
  beginDay: 4,
  lostKg: 0.25,
  frozenKg: 0.1,
  bought: 0.02,
  /** A product of the plan before that is no longer made on its day. */
  changed: 0.3,
  /** A jar that the household pinned: more than anything else could be worth. Gained, not spent. */
  pinned: 30,
} as const;

/** Jars of a goal that are worth the same each. */
export interface WorthPiece {
  readonly jars: number;
  readonly points: number;
}

/** What a jar of a goal is worth at its fullest: by the size it holds, small ones a little more than their share. */
export function pointsPerJar({ priority, jar }: Pick<SeasonGoal, 'priority' | 'jar'>): number {
  return POINTS[priority] * (JARS[jar].nominalFlOz / JARS.quart.nominalFlOz) ** 0.7;
}

/** The jars that are still short of a goal, in pieces of falling worth; none where it is full. */
export function worthPieces(goal: SeasonGoal): WorthPiece[] {
  const each = pointsPerJar(goal);
  let from = Math.max(0, goal.have);
  return FALLING.flatMap(({ upTo, worth }): WorthPiece[] => {
    const end = Math.round(goal.want * upTo);
    const jars = end - from;
    if (jars <= 0) return [];
    from = end;
    return [{ jars, points: each * worth }];
  });
}

/** What so many more jars are worth to a goal. */
export function goalWorth(goal: SeasonGoal, made: number): number {
  let left = made;
  return worthPieces(goal).reduce((sum, { jars, points }) => {
    const counted = Math.min(left, jars);
    left -= counted;
    return sum + counted * points;
  }, 0);
}
