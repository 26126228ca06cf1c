import { Router } from 'express';
import * as v from 'valibot';
import { EstimateRequest } from '@hoddle/contract/estimate';
import { massOf } from '@hoddle/core/harvest/massOf';
import { estimateJars } from '@hoddle/core/yields/estimateJars';
import { Problem } from '../problem';

/** `POST /api/estimate`: how many full jars an amount of one crop becomes. */
export const estimateRoute = Router().post('/estimate', (req, res) => {
  const { crop, amount, product, jar } = v.parse(EstimateRequest, req.body);
  const mass = massOf(amount, crop);
  if (mass.kind === 'refusal') throw new Problem(400, 'invalid', mass.reason, { amount: mass.reason });
  const estimate = estimateJars(crop, mass.massKg, product, jar);
  if (estimate.kind === 'refusal') {
    res.json(estimate);
    return;
  }
  const { jars, massKg, basis } = estimate;
  res.json({ jars, massKg, basis });
});
