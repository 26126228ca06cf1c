import { Router } from 'express';
import * as v from 'valibot';
import { ProcessQuery } from '@hoddle/contract/process';
import { findProcess } from '@hoddle/core/process/findProcess';

/** `GET /api/process`: the tested process for one kitchen, or why there is none. */
export const processRoute = Router().get('/process', (req, res) => {
  res.json(findProcess(v.parse(ProcessQuery, req.query)));
});
