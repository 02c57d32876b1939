import { createRandom } from '@ratio/core/numeric';

/** A request as somebody hostile, or something broken, might send it. */
export interface RandomRequest {
  readonly method: string;
  readonly path: string;
  readonly headers: Readonly<Record<string, string>>;
  readonly body?: string;
}

type Schema = Readonly<Record<string, unknown>> & {
  readonly properties?: Readonly<Record<string, Schema>>;
  readonly items?: Schema;
};
interface Operation {
  readonly requestBody?: { content: Record<string, { schema: Schema }> };
}
export interface OpenapiDocument {
  readonly paths: Readonly<Record<string, Readonly<Record<string, Operation>>>>;
  readonly components?: { readonly schemas?: Readonly<Record<string, Schema>> };
}

const NUL = '\u0000';
const DIGITS = '9'.repeat(400);
const EXTREMES: readonly unknown[] = [
  null,
  true,
  '',
  NUL,
  'NaN',
  'Infinity',
  DIGITS,
  'x'.repeat(5000),
  '\ud800',
  '🫙'.repeat(100),
  '2026-02-30T25:61:00Z',
  '../../etc/passwd',
  "'; DROP TABLE jugs; --",
  0,
  -0,
  -1,
  1e308,
  -1e308,
  5e-324,
  2 ** 53,
  0.1 + 0.2,
  [],
  {},
  [[[[[[]]]]]],
  { __proto__: null, constructor: 1 },
];
/** What there is at the lido, by the word in the path. */
const KNOWN: Readonly<Record<string, readonly string[]>> = {
  jugs: ['lido-jug-1', 'lido-jug-2', 'lido-jug-3'],
  batches: ['lido-batch-4', 'lido-batch-5'],
  drinks: ['deep-end', 'milk-tide'],
};
const IDS = ['lot-9', 'water', 'x', ...Object.values(KNOWN).flat()];
const BAD_IDS = [
  '%00',
  '..%2f..',
  '%ff',
  'a'.repeat(64),
  'a'.repeat(65),
  DIGITS,
  '%F0%9F%AB%99',
  "'",
];
const VERSIONS = ['"0"', '"1"', '"2"', '7', DIGITS, 'W/"1"', '', '"-1"', 'NaN'];

/**
 * Requests made from a server's own description of itself, and spoilt: values at and beyond the ends of
 * their ranges, of other types, missing, and too many.
 *
 * @param input.count how many
 * @param input.seed the same seed gives the same requests
 */
export function randomRequests(input: {
  document: OpenapiDocument;
  count: number;
  seed: number;
}): RandomRequest[] {
  const { document, count, seed } = input;
  const { uniform: random } = createRandom(seed);
  const chance = (share: number): boolean => random() < share;
  const whole = (below: number): number => Math.floor(random() * below);
  const pick = <T>(all: readonly T[]): T => all[whole(all.length)]!;

  function number({ minimum = -1000, maximum = 1000, type }: Record<string, unknown>): number {
    const [low, high] = [minimum as number, maximum as number];
    const at = chance(0.3) ? pick([low, high]) : low + random() * (high - low);
    return type === 'integer' ? Math.round(at) : at;
  }

  function text({ pattern, format, maxLength = 20 }: Record<string, unknown>): string {
    if (typeof pattern === 'string' && pattern.includes('a-z0-9'))
      return chance(0.5) ? pick(IDS) : `f-${whole(1e9)}`;
    if (format === 'date-time') return new Date(1.78e12 + whole(1e10)).toISOString();
    if (format === 'date') return '2026-06-01';
    const words = '900 g at 1:5, fridge, 18 h; 2 cups coffee to 1 quart water '.repeat(70);
    return words.slice(0, 1 + whole(Math.min(maxLength as number, 4000)));
  }

  function value(schema: Schema | undefined, depth = 0): unknown {
    if (!schema || depth > 8) return null;
    const { $ref } = schema;
    if (typeof $ref === 'string')
      return value(document.components?.schemas?.[$ref.split('/').at(-1)!], depth + 1);
    if ('const' in schema) return schema['const'];
    if (Array.isArray(schema['enum'])) return pick(schema['enum']);
    for (const key of ['anyOf', 'oneOf', 'allOf'])
      if (Array.isArray(schema[key])) return value(pick(schema[key] as Schema[]), depth + 1);
    switch (schema['type']) {
      case 'number':
      case 'integer':
        return number(schema);
      case 'string':
        return text(schema);
      case 'boolean':
        return chance(0.5);
      case 'array': {
        const length = Math.min((schema['maxItems'] as number | undefined) ?? 3, whole(4));
        return Array.from({ length }, () => value(schema.items, depth + 1));
      }
      case 'object': {
        const required = (schema['required'] as string[] | undefined) ?? [];
        const entries = Object.entries(schema.properties ?? {})
          .filter(([key]) => required.includes(key) || chance(0.5))
          .map(([key, of]) => [key, value(of, depth + 1)]);
        return Object.fromEntries(entries);
      }
      default:
        return null;
    }
  }

  /** Changes one place somewhere in a value. */
  function spoilt(of: unknown): unknown {
    if (typeof of !== 'object' || of === null || chance(0.2)) return pick(EXTREMES);
    if (Array.isArray(of)) {
      if (of.length === 0 || chance(0.2)) return Array.from({ length: 300 }, () => pick(EXTREMES));
      const at = whole(of.length);
      return of.map((one, i) => (i === at ? spoilt(one) : one));
    }
    const entries = Object.entries(of);
    const at = whole(entries.length + 1);
    if (at === entries.length)
      return { ...of, [pick(['milk', '__proto__', 'id'])]: pick(EXTREMES) };
    const [key, part] = entries[at]!;
    if (chance(0.15)) return Object.fromEntries(entries.filter(([one]) => one !== key));
    return { ...of, [key]: spoilt(part) };
  }

  /** Bodies that no schema describes. */
  const rawBody = (): string =>
    pick([
      () => '{"a":',
      () => '['.repeat(20_000),
      () => `{"id":"x","kind":"poured","massG":${DIGITS}}`,
      () => `{"id":"x","kind":"poured","massG":1e${DIGITS}}`,
      () =>
        JSON.stringify(Object.fromEntries(Array.from({ length: 20_000 }, (_, i) => [`k${i}`, i]))),
      () => '"'.padEnd(200_000, 'x'),
      () => 'x'.repeat(300_000),
      () => '\ufeff{}',
      () => NUL,
    ])();

  const operations = Object.entries(document.paths)
    // Once people must sign in, all else is refused alike.
    .filter(([path]) => path !== '/api/access')
    .flatMap(([path, methods]) =>
      Object.entries(methods).map(([method, operation]) => ({ path, method, operation })),
    );

  return Array.from({ length: count }, () => {
    const { path, method, operation } = pick(operations);
    const known = KNOWN[path.split('/')[2]!] ?? IDS;
    const at = path.replaceAll(/\{\w+\}/g, () =>
      pick(chance(0.7) ? known : chance(0.5) ? IDS : BAD_IDS),
    );
    const schema = operation.requestBody?.content['application/json']?.schema;
    const headers: Record<string, string> = {};
    if (chance(0.7)) headers['If-Match'] = pick(VERSIONS);
    if (!schema || method === 'get')
      return {
        method: chance(0.95) ? method.toUpperCase() : pick(['PATCH', 'OPTIONS', 'HEAD', 'PUT']),
        path: chance(0.1) ? `${at}?${pick(['page=1e9', `id=${DIGITS}`, 'a[b][c]=1', '%ff'])}` : at,
        headers,
      };
    headers['Content-Type'] = chance(0.97)
      ? 'application/json'
      : pick(['text/plain', 'application/json; charset=utf-7', 'multipart/form-data']);
    if (chance(0.05)) return { method: method.toUpperCase(), path: at, headers, body: rawBody() };
    let body = value(schema);
    for (let times = pick([0, 0, 1, 1, 1, 2, 4]); times > 0; times--) body = spoilt(body);
    return { method: method.toUpperCase(), path: at, headers, body: JSON.stringify(body) ?? '' };
  });
}
