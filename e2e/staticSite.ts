import { createServer, type Server } from 'node:http';
import { existsSync, readFileSync } from 'node:fs';
import { type AddressInfo } from 'node:net';
import { join } from 'node:path';

const KINDS: Readonly<Record<string, string>> = { js: 'text/javascript', css: 'text/css', html: 'text/html' };

/** A folder of files as a page, compressed as our own are: the bare app is measured on the same footing. */
export async function staticSite(folder: string): Promise<{ address: string; server: Server }> {
  const server = createServer((req, res) => {
    const path = new URL(req.url ?? '/', 'http://x').pathname;
    const file = join(folder, path === '/' ? 'index.html' : path);
    if (!existsSync(file)) return void res.writeHead(404).end();
    const small = ['br', 'gz'].find(
      (form) => existsSync(`${file}.${form}`) && isTaken(req.headers['accept-encoding'], form),
    );
    res.writeHead(200, {
      'content-type': KINDS[file.split('.').at(-1) ?? ''] ?? 'application/octet-stream',
      ...(small && { 'content-encoding': small === 'gz' ? 'gzip' : small }),
    });
    res.end(readFileSync(small ? `${file}.${small}` : file));
  });
  server.listen(0, '127.0.0.1');
  await new Promise((listening) => server.once('listening', listening));
  return { address: `http://127.0.0.1:${(server.address() as AddressInfo).port}/`, server };
}

function isTaken(accepted: unknown, form: string): boolean {
  return String(accepted).includes(form === 'gz' ? 'gzip' : form);
}
