import { type Fault } from '@hoddle/core/day/fault';
import { Problem } from './problem';

/** Answers a fault as the API does. @throws Problem with its code and sentence, where there is one */
export function hold(fault: Fault | undefined, status: 404 | 409 | 422 = 422): void {
  if (!fault) return;
  const { code, sentence, field } = fault;
  throw new Problem(STATUS[code] ?? status, code, sentence, field === undefined ? undefined : { [field]: sentence });
}

/** What is not there at all is no wrong entry. */
const STATUS: Readonly<Record<string, 404>> = { 'no-batch': 404 };
