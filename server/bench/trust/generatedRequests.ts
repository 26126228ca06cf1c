import { OPERATIONS } from '@hoddle/contract/openapi/operations';
import { type Chance } from './chance';

/** A request as it goes over the wire: its body is bytes, so that it need not be JSON. */
export interface RawRequest {
  readonly method: string;
  readonly path: string;
  readonly body?: string | Buffer;
  readonly headers: Readonly<Record<string, string>>;
}

/** JSON that no `JSON.stringify` writes: put in for these words. */
const RAW = {
  '"@infinite"': '1e999',
  '"@minus"': '-1e999',
  '"@nan"': 'NaN',
  '"@nul"': '"a\\u0000b"',
  '"@half"': '"\\ud800"',
};

const POISON: readonly unknown[] = [
  ...['@infinite', '@minus', '@nan', '@nul', '@half', '', ' ', 'x', '\u0000', '2026-02-31', '9999-12-31', '__proto__'],
  ...[null, true, 0, -1, 0.5, -0, 1e21, 1e308, 5e-324, 2 ** 53, Number.MIN_SAFE_INTEGER, [], {}, [[]], [null]],
  ...[
    'a'.repeat(5_000),
    '💥'.repeat(30),
    '../../etc',
    "'; DROP TABLE picks; --",
    '=1+1',
    '<script>',
    '\u202Eabc',
    '\uFEFF',
  ],
  ...[
    { constructor: { prototype: { bad: true } } },
    Array.from({ length: 300 }, () => ({})),
    { toString: 1, length: -1 },
  ],
];

const BAD_IDS = [
  'x',
  '%00',
  '%2e%2e%2f',
  '%E0%A4%A',
  'null',
  '0',
  '1e999',
  'a'.repeat(900),
  '%F0%9F%92%A5',
  'undefined',
  '%0d%0aset-cookie',
];

/**
 * One request after another that somebody might send: right ones, right ones with one thing wrong, and rubbish. Right ones are the
 * examples of the API's own document, with ids that are new or were used before.
 */
export class GeneratedRequests {
  private readonly ids: string[] = [];
  /** Backups and pairing change who may do what: they are attacked on their own. */
  private readonly operations = OPERATIONS.filter(
    ({ path }) =>
      ![
        '/changes',
        '/restore',
        '/backups',
        '/clock',
        '/passphrase',
        '/me',
        '/season-plans',
        '/schedule',
        '/backup',
      ].includes(path),
  );

  constructor(private readonly chance: Chance) {}

  next(): RawRequest {
    const { chance } = this;
    if (chance.isLucky(0.04)) return this.rubbish();
    const operation = chance.of(this.operations);
    const method = chance.isLucky(0.02)
      ? chance.of(['PATCH', 'OPTIONS', 'HEAD', 'GET', 'POST', 'PUT', 'DELETE'])
      : operation.method.toUpperCase();
    const wrong = chance.isLucky(0.55);
    const told = operation.bodyExample === undefined ? undefined : this.renamed(structuredClone(operation.bodyExample));
    const own = (told as { id?: string } | undefined)?.id;
    const id = wrong && chance.isLucky(0.2) ? chance.of(BAD_IDS) : (own ?? this.someId());
    const path = operation.path.replace('{id}', id).replace('{name}', chance.of(BAD_IDS));
    const query = this.query(operation.queryExample, wrong);
    const body = told === undefined ? undefined : asText(wrong ? this.spoiled(told) : told);
    return {
      ...{ method, path: `${path}${query}` },
      headers: { 'content-type': 'application/json' },
      ...(body !== undefined && method !== 'GET' && method !== 'HEAD' && { body: this.cut(body, wrong) }),
    };
  }

  /** An id that is new, or one that was used before. */
  private someId(): string {
    if (this.ids.length > 0 && this.chance.isLucky(0.6)) return this.chance.of(this.ids);
    const id = this.chance.id();
    this.ids.push(id);
    return id;
  }

  /** The same body with ids of its own: a place where one stands gets another one. */
  private renamed(value: unknown, key = ''): unknown {
    if (typeof value === 'string') {
      const isId = /^[0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-/.test(value);
      if (!isId) return value;
      // What belongs to another thing belongs to one of the document's as often as not.
      return key !== 'id' && this.chance.isLucky(0.5) ? value : this.chance.isLucky(0.3) ? value : this.someId();
    }
    if (Array.isArray(value)) return value.map((each) => this.renamed(each));
    if (typeof value !== 'object' || value === null) return value;
    return Object.fromEntries(Object.entries(value).map(([name, each]) => [name, this.renamed(each, name)]));
  }

  /** With one to three things in it that are not right. */
  private spoiled(value: unknown): unknown {
    let spoiled = value;
    for (let times = 1 + this.chance.below(3); times > 0; times--) spoiled = this.spoilOne(spoiled);
    return spoiled;
  }

  private spoilOne(value: unknown): unknown {
    const { chance } = this;
    if (typeof value !== 'object' || value === null || chance.isLucky(0.12)) return chance.of(POISON);
    if (Array.isArray(value)) {
      if (value.length === 0 || chance.isLucky(0.2))
        return [...value, ...(value.length > 0 ? [value[0]] : [chance.of(POISON)])];
      const place = chance.below(value.length);
      return value.map((each, at) => (at === place ? this.spoilOne(each) : each));
    }
    const names = Object.keys(value);
    if (names.length === 0 || chance.isLucky(0.08))
      return { ...value, [chance.of(['extra', 'id', 'jars', '__proto__x'])]: chance.of(POISON) };
    const name = chance.of(names);
    const { [name]: kept, ...rest } = value as Record<string, unknown>;
    return chance.isLucky(0.15) ? rest : { ...rest, [name]: this.spoilOne(kept) };
  }

  private query(example: Readonly<Record<string, string | number>> | undefined, wrong: boolean): string {
    const { chance } = this;
    if (!example && !(wrong && chance.isLucky(0.1))) return '';
    const told = Object.entries(example ?? { q: 'x' }).map(([name, value]) => {
      const text =
        wrong && chance.isLucky(0.4)
          ? chance.of(['', '1e999', '-1', 'NaN', '\u0000', '%', 'a'.repeat(2_000), '[]'])
          : String(value);
      return `${name}${wrong && chance.isLucky(0.05) ? '[a][b]' : ''}=${encodeURIComponent(text)}`;
    });
    return `?${told.join('&')}`;
  }

  /** Cut short, or with bytes that are no UTF-8, now and then. */
  private cut(text: string, wrong: boolean): string | Buffer {
    if (!wrong || !this.chance.isLucky(0.1)) return text;
    const bytes = Buffer.from(text);
    if (this.chance.isLucky(0.5)) return bytes.subarray(0, this.chance.below(bytes.length + 1));
    const place = this.chance.below(Math.max(1, bytes.length));
    bytes[place] = this.chance.of([0, 0x80, 0xff, 0xc3]);
    return bytes;
  }

  private rubbish(): RawRequest {
    const { chance } = this;
    const path = chance.of([
      '/',
      '//',
      '/nowhere',
      '/picks/a/b/c',
      '/recipes/%2f',
      '/picks%00',
      `/${'a/'.repeat(200)}`,
      '/state?since=%',
      '/state?since[]=1',
    ]);
    const headers = chance.of<Record<string, string>>([
      { 'content-type': 'application/json' },
      { 'content-type': 'text/plain' },
      { 'content-type': 'application/json; charset=utf-32' },
      { 'content-type': 'application/json', 'content-encoding': 'gzip' },
      { 'content-type': 'application/json', 'content-encoding': 'br' },
      { 'content-type': 'multipart/form-data; boundary=x' },
    ]);
    const body = chance.of([
      '',
      'null',
      '[]',
      '"a"',
      '1',
      '{',
      '[[[[[[[[',
      `${'['.repeat(3_000)}${']'.repeat(3_000)}`,
      '{"a":1e999}',
    ]);
    const method = chance.of(['POST', 'PUT', 'DELETE', 'GET']);
    return { method, path, headers, ...(method !== 'GET' && { body }) };
  }
}

function asText(value: unknown): string {
  const text = JSON.stringify(value) ?? 'null';
  return Object.entries(RAW).reduce((sofar, [word, raw]) => sofar.replaceAll(word, raw), text);
}
