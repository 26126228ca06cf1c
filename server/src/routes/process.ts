import { Router } from 'express';
import * as v from 'valibot';
import { type BatchProcessReply, BatchProcessRequest, ProcessQuery, type ProcessReply } from '@hoddle/contract/process';
import { compareBatch } from '@hoddle/core/process/changesOfBatch';
import { findProcess } from '@hoddle/core/process/findProcess';
import { type Database } from '../db/openDatabase';
import { readPages } from '../db/readState';

/** The tested process for one kitchen, or why there is none; the household's marks and own sources travel with it. */
export function processRoute(db: Database): Router {
  return Router()
    .get('/process', async (req, res) => {
      const answer: ProcessReply = findProcess(v.parse(ProcessQuery, req.query), readPages(db));
      res.json(answer);
    })
    .post('/process', async (req, res) => {
      const { ingredients, recipe, ...question } = v.parse(BatchProcessRequest, req.body);
      const { verdicts, scale, card } = compareBatch(question.product, ingredients, recipe);
      const reply: BatchProcessReply = {
        answer: findProcess(question, readPages(db), verdicts),
        ...(scale !== undefined && { scale }),
        ...(card && { recipe: card.card }),
        changes: verdicts,
      };
      res.json(reply);
    });
}
