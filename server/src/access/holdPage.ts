import { type RequestHandler } from 'express';
import onHeaders from 'on-headers';
import { isTooOld, PAGE_HEADER, PAGE_VERSION, REVISION_HEADER, SERVER_HEADER } from '@hoddle/contract/pageVersion';
import { type StateBook } from '../db/stateBook';
import { Problem } from '../problem';

/**
 * Every reply says that it comes from this household's server and how that speaks; the reply to a write also from which state on
 * the write is in what every screen is told. A page that speaks too old a way is asked to be opened anew before it writes.
 *
 * @throws Problem 426
 */
export function holdPage(state: StateBook): RequestHandler {
  return (req, res, next) => {
    const isWrite = req.method !== 'GET' && req.method !== 'HEAD';
    res.set(SERVER_HEADER, String(PAGE_VERSION));
    if (isWrite) onHeaders(res, () => void res.set(REVISION_HEADER, state.tag));
    if (isWrite && isTooOld(req.get(PAGE_HEADER))) {
      throw new Problem(
        426,
        'page-too-old',
        'This page is too old for the server. Open it anew; nothing entered is lost.',
      );
    }
    next();
  };
}
