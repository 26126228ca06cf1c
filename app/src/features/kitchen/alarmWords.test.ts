import { alarmWords } from './alarmWords';

test('what calls says what it is about in the degrees of the household: a bath never boils', () => {
  const load = { id: 'l', cannerId: 'c', batch: { method: 'low-temperature-bath' } };
  const day = { loads: [load], batches: [], live: undefined } as unknown as Parameters<typeof alarmWords>[1];
  const say = (kind: 'boil-found' | 'thermometer' | 'too-hot') =>
    alarmWords({ id: '1', kind, loadId: 'l', dueAt: 0 }, day, { cannerName: () => 'Big pot', units: 'metric' });
  expect(say('boil-found')).toBe('At 82 C, by the probe: look and tap, Big pot');
  expect(say('thermometer')).toBe('82 to 85 C? Big pot');
  expect(say('too-hot')).toBe('Bath over 85 C: Big pot');
});
