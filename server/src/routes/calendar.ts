import { Router } from 'express';
import * as v from 'valibot';
import { CalendarQuery, partsNamed } from '@hoddle/contract/paper';
import { type CalendarOf } from '../calendar/householdCalendar';

/** `GET /api/calendar?parts=days,steps`: the household's calendar as an iCalendar file. */
export function calendarRoute(calendarOf: CalendarOf): Router {
  return Router().get('/calendar', async (req, res) => {
    const { parts } = v.parse(CalendarQuery, req.query);
    const file = await calendarOf(partsNamed(parts), 'Preserving');
    res.attachment('hoddle.ics').type('text/calendar').send(file);
  });
}
