import { AsyncLocalStorage } from 'node:async_hooks';

/** What is known of the request that is being answered, wherever its work leads. */
interface RequestContext {
  readonly id: string;
  /** The screen that wrote, which knows of its own write already. */
  readonly screen?: string;
}

export const requestContext = new AsyncLocalStorage<RequestContext>();
