import pluralize from 'pluralize';
import { UNITS } from '../measure/amount';

/** What is typed last is a figure alone. */
const BARE_END = /(?:^|\band\b)\s*[\d.,/¼½¾⅓⅔⅛⅜⅝⅞\s]*[\d¼½¾⅓⅔⅛⅜⅝⅞]\s*$/i;
const ENDS_IN_AND = /(?:^|\band)\s*$/i;

/** Whether what is typed last names no measure: "68", "3 bags and 2". The one whose key is down is meant. */
export function endsBare(typed: string): boolean {
  return BARE_END.test(typed);
}

/** Whether something of another measure may follow: not on nothing, nor twice. */
export function mayGoOn(typed: string): boolean {
  return !ENDS_IN_AND.test(typed.trim());
}

/** What is typed, its last figure told in a measure: "3" in gallon bags is "3 gallon bags"; words stand for themselves. */
export function toldIn(typed: string, measure: string): string {
  return measure !== '' && endsBare(typed) ? `${typed.trimEnd()} ${severalOf(measure)}` : typed;
}

/** "3" of gallon bags, and the rest in another measure: "3 gallon bags and ". */
export function goneOn(typed: string, measure: string): string {
  return `${toldIn(typed.trim(), measure)} and `;
}

function severalOf(measure: string): string {
  const unit = Object.values(UNITS).find(({ one }) => one === measure);
  return unit?.several ?? pluralize(measure);
}
