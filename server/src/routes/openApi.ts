import { Router } from 'express';
import { openApiDocument } from '@hoddle/contract/openapi/openApiDocument';

/** `GET /api/openapi.json`: what this API takes and answers, made from the schemas it parses with. */
export const openApiRoute = Router().get('/openapi.json', (_req, res) => {
  res.json(openApiDocument());
});
