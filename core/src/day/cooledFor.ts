import { type Lag, type Literal, type Mode, type SearchTask } from '../scheduling/scheduleProblem';
import { COOL_WATER_STEP, coolMinutes } from './coolWater';
import { paceOf, waterId } from './dayKitchen';
import { cannerResource, HANDS } from './dayProblem';
import { type Choice, coolId, type ModelGround, opposite, type Water, waterName } from './modelGround';
import { type LoadInCanner } from './inTheCanner';
import { questionOf } from './taskChain';

/** Cold water for raw jars that are not the first into a canner. See `withCooling`. */
export function coolingOf(ground: ModelGround, choice: Choice): SearchTask[] {
  const { id, able } = choice;
  const own = coolId(id);
  if (ground.question.progress?.of.has(own)) return [];
  const pace = paceOf(COOL_WATER_STEP, ground.question);
  const after: Lag[] = [];
  const modes: Mode[] = [];
  for (const canner of able) {
    const water = { canner, day: choice.day };
    const others = ground.usersOf(water).filter((other) => other !== choice);
    if (others.length === 0) continue;
    const when = `water of ${canner} is cooled for ${id}`;
    const minutes = coolMinutes(questionOf(choice.inCanner.get(canner) as LoadInCanner, ground.question), pace).p50;
    modes.push({ when, minutes, needs: { [cannerResource(canner)]: 1 } });
    const here = ground.isIn(choice, canner);
    const firsts = firstsOf(ground, water);
    const isFirst = firsts.get(choice) as Literal;
    ground.clause(`!${when}`, here);
    ground.clause(`!${when}`, `!${isFirst}`);
    ground.clause(`!${when}`, ...others.map((other) => ground.isIn(other, canner)));
    for (const other of others) ground.clause(when, opposite(here), isFirst, opposite(ground.isIn(other, canner)));
    after.push(ground.following(waterId(canner, choice.day), when));
    for (const other of others.filter(({ isRaw }) => isRaw)) {
      const both = `${id} follows ${other.id} in ${canner}`;
      const leads = firsts.get(other) as Literal;
      ground.clause(both, `!${when}`, `!${leads}`);
      ground.clause(`!${both}`, when);
      ground.clause(`!${both}`, leads);
      after.push(ground.following(`unload ${other.id}`, both));
    }
  }
  if (modes.length === 0) return [];
  const presence = `water is cooled for ${id}`;
  ground.clause(`!${presence}`, ...modes.map(({ when }) => when));
  const begun = ground.question.progress ? { release: 0 } : {};
  return [{ id: own, minutes: 0, needs: { [HANDS]: 1 }, modes, presence, after, ...begun }];
}

/** Where all jars of a canner are raw, one of those that can be ready first needs no cold water: which one, by literals. */
function firstsOf(ground: ModelGround, water: Water): ReadonlyMap<Choice, Literal> {
  const { canner } = water;
  const name = waterName(water);
  const known = ground.firsts.get(name);
  if (known) return known;
  const users = ground.usersOf(water);
  const raw = users.filter(({ isRaw }) => isRaw);
  const literals = new Map(raw.map((choice) => [choice, `${choice.id} is first of raw jars in ${name}`]));
  ground.firsts.set(name, literals);
  const cooked = users.filter(({ isRaw }) => !isRaw);
  for (const [choice, own] of literals) {
    const here = ground.isIn(choice, canner);
    const sooner = raw.filter(({ rank }) => rank < choice.rank);
    const equal = raw.filter(({ rank }) => rank === choice.rank);
    ground.clause(`!${own}`, here);
    for (const other of [...cooked, ...sooner]) ground.clause(`!${own}`, opposite(ground.isIn(other, canner)));
    for (const other of equal) if (other !== choice) ground.clause(`!${own}`, `!${literals.get(other)}`);
    ground.clause(
      opposite(here),
      ...[...cooked, ...sooner].map((other) => ground.isIn(other, canner)),
      ...equal.map((other) => literals.get(other) as Literal),
    );
  }
  return literals;
}
