import { request as requestHttp } from 'node:http';
import { request as requestHttps } from 'node:https';
import { readHolder } from '../db/fileLock';

/**
 * Asks the server that holds a household's file, from this machine.
 *
 * @returns its reply, or undefined where none answers
 */
export function askRunning(
  file: string,
  method: string,
  path: string,
  body: object = {},
): Promise<{ status: number; body: unknown } | undefined> {
  const address = readHolder(file)?.address;
  if (address === undefined) return Promise.resolve(undefined);
  const url = new URL(`/api${path}`, address);
  const text = method === 'GET' ? '' : JSON.stringify(body);
  const headers = { 'content-type': 'application/json', 'content-length': Buffer.byteLength(text) };
  // It is this very machine: whose name is in its certificate does not matter.
  const [ask, own] = url.protocol === 'https:' ? [requestHttps, { rejectUnauthorized: false }] : [requestHttp, {}];
  return new Promise((answered) => {
    const asked = ask(url, { method, headers, ...own }, (reply) => {
      let told = '';
      reply.setEncoding('utf8').on('data', (piece: string) => (told += piece));
      reply.on('end', () =>
        answered({ status: reply.statusCode ?? 0, body: told === '' ? undefined : JSON.parse(told) }),
      );
    });
    asked.on('error', () => answered(undefined));
    asked.end(text);
  });
}
