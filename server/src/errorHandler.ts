import { type ErrorRequestHandler } from 'express';
import { type Logger } from 'pino';
import * as v from 'valibot';
import { type ApiError } from '@hoddle/contract/apiError';
import { Unreadable } from './db/rowStore';
import { Problem } from './problem';

/** Every failure leaves as `{ error: { code, message, fields? } }`; what is not expected is logged and told without its stack. */
export function errorHandler(log: Logger): ErrorRequestHandler {
  return (error: unknown, req, res, next) => {
    const { status, body } = replyFor(error);
    const request = { id: req.id, method: req.method, path: req.path };
    if (status >= 500) log.error({ err: error, request }, 'request failed');
    else if (error instanceof Unreadable) log.error({ err: error, request }, 'a write that could not be read again');
    else log.info({ request, status, code: body.error.code }, 'refused');
    if (res.headersSent) return next(error);
    res.status(status).json(body);
  };
}

function replyFor(error: unknown): { status: number; body: ApiError } {
  if (error instanceof Problem) {
    const { status, code, message, fields } = error;
    return { status, body: { error: { code, message, ...(fields && { fields }) } } };
  }
  if (error instanceof v.ValiError) {
    const fields = fieldsOf(error.issues as v.BaseIssue<unknown>[]);
    const first = Object.entries(fields)[0];
    const message = first ? `${first[0]} ${first[1]}.` : 'That could not be read.';
    return { status: 400, body: { error: { code: 'invalid', message, fields } } };
  }
  if (error instanceof Unreadable) {
    return plain(422, 'would-not-read', `That could not be read again: ${error.reason}. Nothing was saved.`);
  }
  const constraint = constraintReply(error);
  if (constraint) return constraint;
  const status = statusOf(error);
  if (status === 413) return plain(413, 'too-large', 'That is more than is taken at once.');
  if (status === 415) return plain(415, 'no-json', 'Send application/json as UTF-8.');
  if (status >= 400 && status < 500) return plain(status, 'malformed', 'The request could not be read: is it JSON?');
  return plain(500, 'internal', 'Something went wrong in the server. Nothing was saved.');
}

/** What the file itself refuses: one id twice, or something of what is not there. */
function constraintReply(error: unknown): { status: number; body: ApiError } | undefined {
  const name = error instanceof Error ? error.name : '';
  if (name === 'SequelizeUniqueConstraintError') {
    return plain(409, 'id-taken', 'Something is already saved under one of these ids. Nothing was saved.');
  }
  if (name === 'SequelizeForeignKeyConstraintError') {
    return plain(
      409,
      'in-use',
      'It belongs to something that is not there, or something belongs to it. Nothing was saved.',
    );
  }
  return undefined;
}

function fieldsOf(issues: readonly v.BaseIssue<unknown>[]): Record<string, string> {
  return Object.fromEntries(
    issues.map((issue) => {
      const missing = issue.kind === 'schema' && issue.received === 'undefined';
      return [v.getDotPath(issue) ?? 'body', missing ? 'is missing' : issue.message];
    }),
  );
}

/** The status that express and its body parser put on their errors. */
function statusOf(error: unknown): number {
  return typeof error === 'object' && error !== null && 'status' in error && typeof error.status === 'number'
    ? error.status
    : 500;
}

function plain(status: number, code: string, message: string): { status: number; body: ApiError } {
  return { status, body: { error: { code, message } } };
}
