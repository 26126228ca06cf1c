import { Router } from 'express';
import * as v from 'valibot';
import { type ConvertReply, ConvertRequest } from '@hoddle/contract/convert';
import { convertProduce } from '@hoddle/core/harvest/produceFigures';
import { convertAmount } from '@hoddle/core/measure/convertAmount';

/** `POST /api/convert`: an amount in another measure, of a crop and how it is cut where that matters. */
export const convertRoute = Router().post('/convert', (req, res) => {
  const { amount, to, crop, form } = v.parse(ConvertRequest, req.body);
  const reply: ConvertReply = crop ? convertProduce(amount, to, crop, form) : convertAmount(amount, to);
  res.json(reply);
});
