import fc from 'fast-check';
import { fileStateOf } from './db/trouble';
import { nameIn, ownHosts } from './access/hosts';
import { notPlain } from './plainJson';

const clean = fc
  .string({ unit: 'grapheme' })
  .filter((text) => !/[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f\ufffe\uffff]/.test(text));
const name = clean.filter((text) => !['__proto__', 'constructor', 'prototype'].includes(text));
const { value: anything } = fc.letrec((tie) => ({
  value: fc.oneof(
    { depthSize: 'small', maxDepth: 6 },
    ...[clean, fc.double({ noNaN: true, noDefaultInfinity: true }), fc.boolean(), fc.constant(null)],
    fc.array(tie('value'), { maxLength: 4 }),
    fc.dictionary(name, tie('value'), { maxKeys: 4 }),
  ),
}));

const POISON: readonly unknown[] = [Infinity, -Infinity, NaN, 'a\u0000', '\ud800', 'x\udc00y', '\uffff', '\u001b[31m'];

test('what people write is plain, whatever its language; one poisonous value makes it not, wherever it stands', () => {
  fc.assert(fc.property(anything, (value) => notPlain(value) === undefined));
  fc.assert(
    fc.property(anything, fc.constantFrom(...POISON), fc.integer({ min: 0, max: 20 }), (value, poison, deep) => {
      let nest: unknown = poison;
      for (let i = 0; i < deep; i++) nest = i % 2 === 0 ? [value, nest] : { value, nest };
      return notPlain(nest) !== undefined;
    }),
  );
  expect(notPlain({ ['a\u0000']: 1 })).toBeDefined();
  expect(notPlain(JSON.parse('{"constructor":1}'))).toBeDefined();
  let deep: unknown = 1;
  for (let i = 0; i < 100_000; i++) deep = [deep];
  expect(notPlain(deep)).toBe('is nested too deep');
  for (const words of ['a\tb\r\nc', 'Crème fraîche', 'टमाटर', '🍅👨‍👩‍👧', '\u202Eabc', '\uFEFF'])
    expect(notPlain(words)).toBeUndefined();
});

test('a name is read from a Host header, or nothing is', () => {
  const names = [
    'localhost',
    'LocalHost:4860',
    '127.0.0.1:80',
    '[::1]:4860',
    'kitchen.example.',
    '127.1',
    '0x7f.1',
    'evil.example@localhost',
    'a/b',
    '',
    'a b',
    'a,b',
  ];
  expect(names.map(nameIn)).toEqual([
    ...['localhost', 'localhost', '127.0.0.1', '[::1]', 'kitchen.example.', '127.0.0.1', '127.0.0.1'],
    ...[undefined, undefined, undefined, undefined, undefined],
  ]);
  expect([...ownHosts('127.0.0.1', ['Kitchen.Example'])].sort()).toEqual([
    '127.0.0.1',
    '[::1]',
    'kitchen.example',
    'localhost',
  ]);
  expect(ownHosts('192.168.7.3').has('192.168.7.3')).toBe(true);
});

// https://www.sqlite.org/rescode.html
test('what SQLite says of its file is known through the wrappings of the library, and of nothing else', () => {
  const wrapped = (code: string) => ({ name: 'SequelizeDatabaseError', parent: { original: { code } } });
  const codes = [
    'SQLITE_FULL',
    'SQLITE_READONLY',
    'SQLITE_IOERR',
    'SQLITE_CORRUPT',
    'SQLITE_NOTADB',
    'SQLITE_CONSTRAINT',
    'ENOSPC',
  ];
  expect(codes.map((code) => fileStateOf(wrapped(code)))).toEqual([
    ...['full', 'read-only', 'failing', 'damaged', 'damaged', undefined, undefined],
  ]);
  expect(fileStateOf(new Error('SQLITE_FULL'))).toBeUndefined();
  expect(fileStateOf(null)).toBeUndefined();
});
