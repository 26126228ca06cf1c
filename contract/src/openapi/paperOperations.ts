import * as v from 'valibot';
import { Everything } from '../everything';
import { CodeRequest, DrawnCode, LabelsLayout, LabelsRequest } from '../labels';
import { CalendarQuery, OpenAddress, OpenAddressesReply, OpenAddressRequest, PaperRequest } from '../paper';
import { RowsIn, RowsInReply } from '../rowsIn';
import { EXAMPLES } from './examples';
import { type Operation, struckOut } from './operation';

/** Addresses of what leaves the house on paper. They keep nothing: whoever may look may print. */
export const PAPER_OPERATIONS: readonly Operation[] = [
  {
    method: 'post',
    path: '/labels',
    summary: 'Jar labels for a sheet of labels, as PDF (application/pdf), each with its code to scan.',
    least: 'looker',
    body: LabelsRequest,
    bodyExample: EXAMPLES.labels,
    replies: { 200: null },
    errors: [400, 422],
  },
  {
    method: 'post',
    path: '/labels/layout',
    summary: 'The same labels as they will look: every line with its place and size in millimetres.',
    least: 'looker',
    body: LabelsRequest,
    bodyExample: EXAMPLES.labels,
    replies: { 200: LabelsLayout },
    errors: [400, 422],
  },
  {
    method: 'post',
    path: '/codes',
    summary: 'Words as a QR code: the path of an SVG. What it says is not kept, nor logged.',
    least: 'looker',
    body: CodeRequest,
    bodyExample: { words: 'http://192.168.1.20:4860' },
    replies: { 200: DrawnCode },
    replyExample: { side: 37, path: 'M4 4h7v1h-7z' },
    errors: [400],
  },
  {
    method: 'post',
    path: '/papers',
    summary:
      'A page of headings, words, lists and tables as PDF (application/pdf); on one sheet where that is asked for.',
    least: 'looker',
    body: PaperRequest,
    bodyExample: EXAMPLES.paper,
    replies: { 200: null },
    errors: [400],
  },
  {
    method: 'get',
    path: '/calendar',
    summary:
      'Preserving days, their steps, calls within them and how long jars keep, as iCalendar (text/calendar). The same entry has the same UID.',
    query: CalendarQuery,
    queryExample: { parts: 'days,steps' },
    replies: { 200: null },
    errors: [400],
  },
  {
    method: 'get',
    path: '/everything',
    summary:
      'The whole household as one JSON for other programs, named in words; its JSON Schema is at /everything/schema.',
    replies: { 200: Everything },
    errors: [],
  },
  {
    method: 'get',
    path: '/everything/schema',
    summary: 'The JSON Schema of /everything.',
    replies: { 200: v.record(v.string(), v.unknown()) },
    errors: [],
  },
  {
    method: 'post',
    path: '/rows-in',
    summary:
      'Picks, beds, batches, supplies or goals from a table, all or none. What has an id that is here already stays as it is.',
    body: RowsIn,
    bodyExample: EXAMPLES.rowsIn,
    replies: { 200: RowsInReply, 201: RowsInReply },
    replyExample: { added: 1, known: 0 },
    errors: [400, 404, 409, 422],
  },
  {
    method: 'get',
    path: '/open-addresses',
    summary: 'Addresses that are open without a device’s key: pages for a while, calendars until they are taken back.',
    least: 'cook',
    replies: { 200: OpenAddressesReply },
    replyExample: { addresses: [EXAMPLES.openAddress], reachedAt: ['https://192.168.1.20:4860'] },
    errors: [],
  },
  {
    method: 'post',
    path: '/open-addresses',
    summary:
      'Opens /open/{key}, by a key that the client made: a page, also as .pdf, or with .ics the calendar. Only its sum is kept.',
    body: OpenAddressRequest,
    bodyExample: EXAMPLES.openAddressRequest,
    replies: { 200: OpenAddress, 201: OpenAddress },
    replyExample: EXAMPLES.openAddress,
    errors: [400, 409, 422],
  },
  struckOut('/open-addresses/{id}', 'Takes an address back, at once and for good.', [404]),
];
