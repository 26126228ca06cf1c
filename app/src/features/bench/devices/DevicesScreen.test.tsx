import { type Device, type DevicesReply, type Me } from '@hoddle/contract/device';
import { fireEvent, render, screen } from '@testing-library/react-native';
import { type ReactNode } from 'react';
import { DevicesScreen } from './DevicesScreen';

jest.mock('@/ui/Screen', () => ({ Screen: ({ children }: { children: ReactNode }) => children }));
jest.mock('@/ui/RowLink', () => ({ RowLink: ({ children }: { children: ReactNode }) => children }));

const NOON = Date.UTC(2026, 7, 29, 12);
const phone: Device = {
  ...{ id: '0198f3a0-0000-7000-8000-00000000f001', name: 'Phone', role: 'cook' },
  ...{ pairedAt: NOON, seenAt: null, revokedAt: null },
};

/** A server that answers as it is told, and notes what it was asked to do. */
function server(me: Me, devices: Partial<DevicesReply> = {}) {
  const did: string[] = [];
  const told = {
    devices: [phone],
    hasPassphrase: true,
    addresses: ['https://192.0.2.7:4860'],
    authority: null,
    ...devices,
  };
  const answers: Record<string, unknown> = {
    'GET /api/me': me,
    'GET /api/devices': told,
    'POST /api/pairing-codes': { code: '23456789', until: NOON, addresses: told.addresses },
  };
  globalThis.fetch = jest.fn(async (path: string, { method }: { method: string }) => {
    const asked = `${method} ${path}`;
    // A code that is drawn changes nothing.
    if (method !== 'GET' && path !== '/api/codes') did.push(asked);
    if (asked === `DELETE /api/devices/${phone.id}`) told.devices = [{ ...phone, revokedAt: NOON }];
    return { ok: true, status: 200, headers: new Headers({ 'x-hoddle': '1' }), json: async () => answers[asked] };
  }) as never;
  return did;
}
/** A slow machine is no failing test: this only ends one that hangs. */
const found = (words: string | RegExp) => screen.findByText(words, {}, { timeout: 60_000 });
const press = (name: string | RegExp) => fireEvent.press(screen.getByRole('button', { name }));

test('an owner lets a device in with a code, and shuts one out only when asked twice', async () => {
  const did = server({ role: 'owner', name: null });
  render(<DevicesScreen />);
  await found('Phone');
  press('Show a code');
  await found('2345 6789');
  expect(screen.getByText(/Or open https:\/\/192\.0\.2\.7:4860 there/)).toBeTruthy();
  press('Done');
  press('Shut out Phone');
  expect(did).toEqual(['POST /api/pairing-codes']);
  press('Shut it out');
  await found(/Shut out 29 Aug 2026/);
  expect(did).toEqual(['POST /api/pairing-codes', `DELETE /api/devices/${phone.id}`]);
});

test('whoever is no owner sees who they are and may go, and nothing of the others', async () => {
  server({ role: 'looker', name: 'Tablet' });
  render(<DevicesScreen />);
  await found(/This device is Tablet\./);
  expect(screen.queryByText('Phone')).toBeNull();
  expect(screen.queryByRole('button', { name: 'Show a code' })).toBeNull();
  expect(screen.getByRole('button', { name: 'This device goes' })).toBeTruthy();
});

test('while only this machine is listened to, the way to let phones in is said, and a short passphrase is no key', async () => {
  server({ role: 'owner', name: null }, { devices: [], hasPassphrase: false, addresses: [] });
  render(<DevicesScreen />);
  await found(/HOST=0\.0\.0\.0/);
  expect(screen.getByRole('button', { name: 'Set the passphrase' }).props.accessibilityState?.disabled ?? true).toBe(
    true,
  );
  fireEvent.changeText(screen.getByLabelText('Passphrase, 12 characters or more'), 'three damsons');
  press('Set the passphrase');
  await found('It is set.');
});
