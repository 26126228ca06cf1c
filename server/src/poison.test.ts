import { attackWithRequests } from '../bench/trust/attackWithRequests';
import { newFile, startServer } from './testServer';

// The same attack as `npm run bench:trust` makes with 20,000.
test('1,500 generated requests: none is answered 5xx, and nothing that gets in breaks reading, a restart or a backup', async () => {
  let server = await startServer();
  const { broke, unread, byStatus } = await attackWithRequests(server.address, 1_500, 20_260_829);
  expect(
    broke.map(({ request: { method, path, body }, text }) => [method, path, String(body).slice(0, 400), text]),
  ).toEqual([]);
  expect(unread).toEqual([]);
  // Not everything was refused: what got in is what could poison.
  expect((byStatus[201] ?? 0) + (byStatus[200] ?? 0)).toBeGreaterThan(300);
  const { file } = server;
  const before = (await server.call('GET', '/backup')).body;
  await server.stop();
  server = await startServer(file);
  expect(server.db.setAside).toEqual([]);
  const backup = (await server.call('GET', '/backup')).body;
  expect(backup.sha256).toBe(before.sha256);
  const other = await startServer(newFile());
  const { status, body } = await other.call('POST', '/restore', backup);
  expect([status, body.sha256 ?? body.error]).toEqual([200, backup.sha256]);
  await Promise.all([server.stop(), other.stop()]);
});
