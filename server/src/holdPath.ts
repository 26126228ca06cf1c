import { type RequestHandler } from 'express';
import * as v from 'valibot';
import { Id } from '@hoddle/contract/id';
import { findOperation } from '@hoddle/contract/openapi/findOperation';
import { notPlain } from './plainJson';
import { Problem } from './problem';

/** Longer than any address of ours with its query. */
const LONGEST = 4_096;

/** @throws Problem 400 for an address that cannot be read or holds what is no text */
export const holdPath: RequestHandler = (req, _res, next) => {
  let path: string;
  try {
    path = decodeURIComponent(req.path);
  } catch {
    throw new Problem(400, 'malformed', 'That address cannot be read.');
  }
  if (req.originalUrl.length > LONGEST || notPlain(path) !== undefined) {
    throw new Problem(400, 'malformed', 'That address cannot be read.');
  }
  next();
};

/** @throws Problem 400 for an address whose id is none: what is kept under it could not be read again */
export const holdIds: RequestHandler = (req, _res, next) => {
  const found = findOperation(req.method, req.path);
  const id = found?.params.id;
  if (id !== undefined && !found?.operation.namedId && !v.is(Id, id)) {
    throw new Problem(400, 'invalid', 'The id of that address is none.', { id: 'must be a UUID' });
  }
  next();
};
