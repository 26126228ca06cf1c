/** Header by which a page of the app says how it speaks to the server. */
export const PAGE_HEADER = 'x-page';

/** Header of every reply of the API: it comes from this household's server, and how that speaks. */
export const SERVER_HEADER = 'x-hoddle';

/** Header of the reply to a write: epoch and revision of the household's state that has the write in it. */
export const REVISION_HEADER = 'x-hoddle-revision';

/** How this page and this server speak. One more when a page of before can no longer write without harm. */
export const PAGE_VERSION = 1;

/** Pages that speak as before this are asked to be opened anew before they write: a browser may have kept one for months. */
export const OLDEST_PAGE = 1;

/** Whether a page is too old to write. @param told what it says in its header; nothing for what is no page */
export function isTooOld(told: string | undefined): boolean {
  return told !== undefined && !(Number(told) >= OLDEST_PAGE);
}
