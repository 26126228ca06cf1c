import fc from 'fast-check';
import { jarCode, readCode } from './jarCode';

test('a code is read however it is typed: small, with spaces, O for 0 and l for 1', () => {
  fc.assert(
    fc.property(fc.uuid(), fc.nat(2 ** 31 - 1), (lotId, mark) => {
      const code = jarCode(lotId, mark);
      expect(code).toMatch(/^[0-9A-HJKMNP-TV-Z]{5}$/);
      for (const typed of [
        code,
        code.toLowerCase(),
        ` ${code.slice(0, 2)} ${code.slice(2)}`,
        code.replaceAll('0', 'O').replaceAll('1', 'l'),
      ]) {
        expect(readCode(typed, mark)).toEqual({ kind: 'code', code });
      }
      expect(readCode(code.slice(0, 3), mark)).toEqual({ kind: 'short', missing: 2 });
    }),
  );
});

test('of codes of other households, and of slips of one sign, at least 19 in 20 are noticed', () => {
  let [foreign, slips] = [0, 0];
  for (let i = 0; i < 2_000; i++) {
    const code = jarCode(`lot ${i}`, 7);
    foreign += Number(readCode(jarCode(`lot ${i}`, 8 + i), 7).kind === 'foreign');
    slips += Number(readCode(code.slice(0, 2) + (code[2] === 'K' ? 'M' : 'K') + code.slice(3), 7).kind === 'foreign');
  }
  expect(foreign / 2_000).toBeGreaterThan(0.95);
  expect(slips / 2_000).toBeGreaterThan(0.95);
  expect(readCode('HELLO!', 7).kind).toBe('foreign');
});
