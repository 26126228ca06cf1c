import { type Card, type CardLine } from '../handbook/cards/card';

/** Ways to prepare food that change how heat or acid goes through it, and what a card must say for each to be its own. */
const WAYS: readonly { readonly said: RegExp; readonly onLine?: RegExp; readonly step?: RegExp }[] = [
  {
    said: /\b(charred|char-?grilled|grilled|roasted|broiled|fire.?roasted|blackened)\b/,
    onLine: /blister/,
    step: /^blister/,
  },
  { said: /\bblistered\b/, onLine: /blister/, step: /^blister/ },
  { said: /\bsmoked\b/ },
  {
    said: /\b(pur[ée]ed?|blended|liquidi[sz]ed|milled|sieved|strained)\b/,
    onLine: /blended|ground|sieved|strained/,
    step: /^(puree|food-mill|squeeze)/,
  },
  { said: /\b(mashed|pulped)\b/, onLine: /crush|mash|ground|pulp/, step: /^(crush|food-mill)/ },
  { said: /\bcrushed\b/, onLine: /crush|ground/, step: /^(crush|stem-crush|food-mill)/ },
  { said: /\bdrained\b/, onLine: /drain|dripped/, step: /^(drain|salt-|drip)/ },
  { said: /\b(fried|saut[ée]ed|caramel[i]?[sz]ed|browned)\b/, step: /^saute/ },
  { said: /\b(dehydrated|sun.?dried|freeze.?dried)\b/ },
  {
    said: /\b(cooked|boiled|steamed|baked)\b/,
    onLine: /boil|cook|steam|blanch/,
    step: /^(boil|blanch|steam|cook|simmer)/,
  },
  { said: /\b(tinned|canned)\b/, onLine: /tinned|canned/ },
];

/** A way of preparing food that a written line tells of and the card does not print; undefined where there is none. */
export function untestedPreparation(written: string, line: CardLine, card: Card): string | undefined {
  const printed = `${line.item} ${line.as ?? ''} ${line.prep ?? ''}`.toLowerCase();
  for (const { said, onLine, step } of WAYS) {
    const found = said.exec(written);
    if (!found) continue;
    const isPrinted = onLine?.test(printed) ?? false;
    const isDone = step !== undefined && card.steps.some(({ step: name, of }) => step.test(name) && isFor(of, line));
    if (!isPrinted && !isDone) return found[0];
  }
  return undefined;
}

/** A step that names its crops is for those alone. */
function isFor(of: readonly string[] | undefined, { crops }: CardLine): boolean {
  return of === undefined || of.some((crop) => (crops as readonly string[]).includes(crop));
}
