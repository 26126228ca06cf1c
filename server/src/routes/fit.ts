import { Router } from 'express';
import * as v from 'valibot';
import { FitRequest } from '@hoddle/contract/fit';
import { fitJars } from '@hoddle/core/canner/jarFit';
import { JARS } from '@hoddle/core/handbook/jars';

/** `POST /api/fit`: whether jars stand beside each other in a pot, and where. */
export const fitRoute = Router().post('/fit', (req, res) => {
  const { canner, jars } = v.parse(FitRequest, req.body);
  const each = jars.flatMap(({ count, ...kind }) => {
    const measures =
      'size' in kind
        ? { size: kind.size, diameterIn: JARS[kind.size].maxDiameterIn, heightIn: JARS[kind.size].heightIn }
        : { size: `${kind.diameterIn} by ${kind.heightIn} in`, ...kind };
    return Array.from({ length: count }, () => measures);
  });
  res.json(fitJars(canner, each));
});
