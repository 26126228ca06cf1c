import { Agent, request } from 'node:http';
import { type RawRequest } from './generatedRequests';

export interface RawReply {
  readonly status: number;
  readonly text: string;
  readonly headers: NodeJS.Dict<string | string[]>;
}

const agent = new Agent({ keepAlive: true, maxSockets: 64 });

/** Sends a request just as it is, whatever it is. @param from the local address to send it from */
export function sendRaw(
  address: string,
  { method, path, body, headers }: RawRequest,
  { prefix = '/api', from }: { prefix?: string; from?: string } = {},
): Promise<RawReply> {
  const { hostname, port } = new URL(address);
  const length = body === undefined ? {} : { 'content-length': String(Buffer.byteLength(body)) };
  return new Promise((answered, failed) => {
    const asked = request(
      // An address that cannot stand in a request is sent as near as it can.
      {
        ...{ host: hostname, port, method, path: `${prefix}${path}`.replace(/[^\x21-\x7e]/g, '?') },
        ...{ headers: { ...headers, ...length }, agent: from === undefined ? agent : false },
        ...(from !== undefined && { localAddress: from }),
      },
      (reply) => {
        const pieces: Buffer[] = [];
        reply.on('data', (piece: Buffer) => pieces.push(piece));
        reply.on('end', () =>
          answered({ status: reply.statusCode ?? 0, text: Buffer.concat(pieces).toString(), headers: reply.headers }),
        );
        reply.on('error', failed);
      },
    );
    asked.on('error', failed);
    asked.end(body);
  });
}
