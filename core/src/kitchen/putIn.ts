import { inOrderOnce, type KitchenEvent } from './kitchenEvent';

type Started = Extract<KitchenEvent, { type: 'load-started' }>;

/** How a load was put into its canner; undefined where it was not, or by a slip that was taken back before anything else. */
export function putIn(told: readonly KitchenEvent[]): Started | undefined {
  let put: Started | undefined;
  let isLast = false;
  for (const event of inOrderOnce(told)) {
    if (event.type === 'taken-back' && isLast && event.eventId === put?.id) put = undefined;
    isLast = event.type === 'load-started' && !put;
    if (event.type === 'load-started' && !put) put = event;
  }
  return put;
}
