import { type ErrorRequestHandler } from 'express';
import { type Logger } from 'pino';
import * as v from 'valibot';
import { type ApiError } from '@hoddle/contract/apiError';
import { Problem } from './problem';

/** Every failure leaves as `{ error: { code, message, fields? } }`; what is not expected is logged and told without its stack. */
export function errorHandler(log: Logger): ErrorRequestHandler {
  return (error: unknown, _req, res, next) => {
    if (res.headersSent) return next(error);
    const { status, body } = replyFor(error);
    if (status === 500) log.error({ err: error }, 'request failed');
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
  const status = statusOf(error);
  if (status === 413) return plain(413, 'too-large', 'That is more than is taken at once.');
  if (status >= 400 && status < 500) return plain(status, 'malformed', 'The request could not be read: is it JSON?');
  return plain(500, 'internal', 'Something went wrong in the server. Nothing was saved.');
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
