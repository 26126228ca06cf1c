import { type Response, Router } from 'express';
import { type Paper } from '@hoddle/core/formats/paper/paper';
import { type OpenAddresses } from '../access/openAddresses';
import { type CalendarOf } from '../calendar/householdCalendar';
import { PAPER_POLICY, paperPage } from '../paper/paperPage';
import { paperPdf } from '../paper/paperPdf';

const DAY_AND_TIME = new Intl.DateTimeFormat('en', { dateStyle: 'full', timeStyle: 'short' });

/**
 * What is open without a device's key, by addresses nobody guesses (256 bits): `GET /open/:key` a page, `.pdf` the same on paper,
 * `.ics` a calendar. An address that was taken back says so, once known.
 */
export function openedRoute(open: OpenAddresses, calendarOf: CalendarOf): Router {
  const none = (res: Response, status: 404 | 410, words: string) =>
    page(res.status(status), { title: words, parts: [] });
  return Router().get('/open/:name', async (req, res) => {
    const { key, ending } = partsOf(req.params.name);
    res.set({ 'cache-control': 'no-store', 'referrer-policy': 'no-referrer' });
    const opened = open.opened(key);
    if (opened.kind === 'unknown') return none(res, 404, 'There is nothing at this address.');
    if (opened.kind === 'over') return none(res, 410, 'This address is not open any more.');
    const { content, until, name } = opened;
    if (content.kind === 'calendar' && ending === 'ics')
      return void res.type('text/calendar').send(await calendarOf(content.parts, name));
    if (content.kind === 'calendar' || ending === 'ics') return none(res, 404, 'There is nothing at this address.');
    const { paper, page: size } = content;
    if (ending === 'pdf') return void res.type('application/pdf').send(await paperPdf(paper, size, Date.now()));
    return page(res, paper, until === null ? undefined : `Open until ${DAY_AND_TIME.format(until)}.`);
  });
}

function page(res: Response, paper: Paper, note?: string): void {
  res.set('content-security-policy', PAPER_POLICY).type('html').send(paperPage(paper, note));
}

/** A key and what its address ends with. */
function partsOf(name: string): { key: string; ending: string | undefined } {
  const [, key = '', ending] = /^([\w-]+?)(?:\.(pdf|ics))?$/.exec(name) ?? [];
  return { key, ending };
}
