import { Router } from 'express';
import * as v from 'valibot';
import { PaperRequest } from '@hoddle/contract/paper';
import { paperPdf } from '../paper/paperPdf';

/** `POST /api/papers`: a page of headings, lists and tables as PDF. Nothing of it is kept. */
export function papersRoute(): Router {
  return Router().post('/papers', async (req, res) => {
    const { paper, page } = v.parse(PaperRequest, req.body);
    const pdf = await paperPdf(paper, page, Date.now());
    res.attachment('hoddle.pdf').type('application/pdf').send(pdf);
  });
}
