import { Router } from 'express';
import * as v from 'valibot';
import { EstimateRequest, JarsFromRequest, ProduceForRequest } from '@hoddle/contract/estimate';
import { JAR_SIZES } from '@hoddle/core/handbook/jars';
import { type ProduceId } from '@hoddle/core/handbook/produce';
import { massOf } from '@hoddle/core/harvest/massOf';
import { type Amount } from '@hoddle/core/measure/amount';
import { estimateJars, massForJarsKg } from '@hoddle/core/yields/estimateJars';
import { productsFromLots } from '@hoddle/core/yields/productsFromLots';
import { learnYields } from '@hoddle/core/yields/yieldModel';
import { type Clock } from '../clock';
import { type Database } from '../db/openDatabase';
import { readBatchRecords, readHousehold } from '../db/readState';
import { Problem } from '../problem';

/** Produce to jars and back, by the handbook and by what the household's own batches have taught. */
export function estimateRoute(db: Database, clock: Clock): Router {
  const learned = async () => {
    const { demoOffsetMs } = readHousehold(db);
    return learnYields(readBatchRecords(db), clock.now(demoOffsetMs));
  };
  return Router()
    .post('/estimate', async (req, res) => {
      const { crop, amount, form, product, jar } = v.parse(EstimateRequest, req.body);
      const estimate = estimateJars(crop, massKgOf(amount, crop, form, 'amount'), product, jar, await learned());
      if (estimate.kind === 'refusal') {
        res.json(estimate);
        return;
      }
      const { jars, massKg, basis } = estimate;
      res.json({ jars, massKg, basis });
    })
    .post('/jars-from', async (req, res) => {
      const { lots } = v.parse(JarsFromRequest, req.body);
      const amounts = lots.map(({ crop, amount, form, green = false }, i) => ({
        crop,
        green,
        massKg: massKgOf(amount, crop, form, `lots.${i}.amount`),
      }));
      const products = productsFromLots(amounts, await learned());
      res.json({
        products: products.map(({ product, quarts: _, grounds: __, jarsOf, ...rest }) => ({
          ...rest,
          product: product.product,
          jars: JAR_SIZES.map((jar) => ({ jar, jars: jarsOf(jar) })),
        })),
      });
    })
    .post('/produce-for', async (req, res) => {
      const { crop, product, jar, jars, sure } = v.parse(ProduceForRequest, req.body);
      const knowledge = await learned();
      const estimate = estimateJars(crop, 1, product, jar, knowledge);
      if (estimate.kind === 'refusal') {
        res.json(estimate);
        return;
      }
      res.json({ ...massForJarsKg(crop, product, jar, jars, { learned: knowledge, sure }), sure });
    });
}

function massKgOf(amount: Amount, crop: ProduceId, form: string | undefined, field: string): number {
  const mass = massOf(amount, crop, form);
  if (mass.kind === 'refusal') throw new Problem(400, 'invalid', mass.reason, { [field]: mass.reason });
  return mass.massKg;
}
