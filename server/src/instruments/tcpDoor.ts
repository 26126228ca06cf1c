import { createServer, type Server } from 'node:net';
import { isLoopbackAddress } from '../access/hosts';
import { type Pairing } from '../access/pairing';
import { Conversation, HELLO_MS } from './conversation';
import { type InstrumentHub } from './instrumentHub';
import { LineReader } from './lineReader';

const MOST_OPEN = 100;

/** Lines over TCP. A page in a browser that is made to speak to this port begins with a line that is no hello, and is let go. */
export function tcpDoor(hub: InstrumentHub, pairing: Pairing): Server {
  const server = createServer((socket) => {
    const address = socket.remoteAddress ?? '';
    const reader = new LineReader();
    socket.setEncoding('utf8');
    const conversation = new Conversation(
      {
        ...{ who: isLoopbackAddress(address) ? ({ role: 'owner' } as const) : undefined, address },
        say: (reply) => void (socket.writable && socket.write(`${JSON.stringify(reply)}\n`)),
        hangUp: () => socket.end(),
      },
      hub,
      pairing,
    );
    const late = setTimeout(() => !conversation.isLetIn && socket.destroy(), HELLO_MS);
    // One after the other: a line waits until the one before it is taken.
    let before: Promise<void> = Promise.resolve();
    socket.on('data', (chunk: string) => {
      socket.pause();
      before = before
        .then(async () => {
          for (const line of reader.take(chunk)) await conversation.hear(line);
        })
        .then(() => void socket.resume());
    });
    socket.on('error', () => socket.destroy());
    socket.on('close', () => {
      clearTimeout(late);
      conversation.end();
    });
  });
  server.maxConnections = MOST_OPEN;
  return server;
}
