import { type IncomingMessage, type Server } from 'node:http';
import { WebSocketServer } from 'ws';
import { nameIn } from '../access/hosts';
import { whoAsks } from '../access/who';
import { type Pairing } from '../access/pairing';
import { Conversation, HELLO_MS } from './conversation';
import { type InstrumentHub } from './instrumentHub';
import { LineReader, LONGEST_LINE } from './lineReader';

/** Where lines are taken over WebSocket. */
export const SOCKET_PATH = '/instruments';
/** What was kept for an hour may come in one piece. */
const MOST_BYTES = 512 * LONGEST_LINE;
const MOST_OPEN = 100;
const MOST_WAITING = 1_000;

interface SocketParts {
  readonly hub: InstrumentHub;
  readonly pairing: Pairing;
  /** Names it is asked by; see `ownHosts`. */
  readonly hosts: () => ReadonlySet<string>;
}

/** Lines over WebSocket, beside the app. A page of another origin is not let in, under whatever name it asks. */
export function socketDoor({ hub, pairing, hosts }: SocketParts): {
  serve: (server: Server) => void;
  close: () => void;
} {
  const sockets = new WebSocketServer({ noServer: true, maxPayload: MOST_BYTES });
  sockets.on('connection', (socket, req: IncomingMessage) => {
    const reader = new LineReader();
    const conversation = new Conversation(
      {
        ...{ who: whoAsks(req, pairing), address: req.socket.remoteAddress ?? '' },
        say: (reply) => socket.readyState === socket.OPEN && socket.send(`${JSON.stringify(reply)}\n`),
        hangUp: () => socket.close(),
      },
      hub,
      pairing,
    );
    const late = setTimeout(() => !conversation.isLetIn && socket.terminate(), HELLO_MS);
    let before: Promise<void> = Promise.resolve();
    let waiting = 0;
    socket.on('message', (data: Buffer) => {
      // What waits here is little: the rest waits where it comes from.
      if (++waiting > MOST_WAITING) socket.pause();
      // A message is a line, or some; what ends without its end of line is whole.
      before = before.then(async () => {
        for (const line of reader.take(`${data.toString('utf8')}\n`)) await conversation.hear(line);
        if (--waiting === 0 && socket.isPaused) socket.resume();
      });
    });
    socket.on('error', () => socket.terminate());
    socket.on('close', () => {
      clearTimeout(late);
      conversation.end();
    });
  });
  return {
    serve: (server) =>
      void server.on('upgrade', (req, socket, head) => {
        const isOurs = new URL(req.url ?? '/', 'http://here').pathname === SOCKET_PATH;
        if (!isOurs || !mayAsk(req, hosts()) || sockets.clients.size >= MOST_OPEN) return socket.destroy();
        sockets.handleUpgrade(req, socket, head, (opened) => sockets.emit('connection', opened, req));
      }),
    close: () => {
      for (const socket of sockets.clients) socket.terminate();
      sockets.close();
    },
  };
}

/** Under a name of this server, and from a page of its own where it is one. */
function mayAsk({ headers }: IncomingMessage, hosts: ReadonlySet<string>): boolean {
  const name = nameIn(headers.host);
  if (name === undefined || !hosts.has(name)) return false;
  if (headers.origin === undefined) return true;
  try {
    return new URL(headers.origin).host === headers.host?.toLowerCase();
  } catch {
    return false;
  }
}
