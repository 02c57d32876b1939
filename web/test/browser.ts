import { Thread } from './threads.ts';

/** As it was before any test replaced it. */
export const nativeFetch = globalThis.fetch;

/** What every problem document has; a test says what is its own. */
const PROBLEM = { type: 'about:blank', title: 'A problem', code: 'problem', detail: 'A problem.' };

/** The little of a browser that stores touch, for tests without one. */
export function installBrowser(): {
  storage: Map<string, string>;
  answer: (handler: Handler) => void;
  asked: Asked[];
} {
  const storage = new Map<string, string>();
  const asked: Asked[] = [];
  let handler: Handler = () => ({ status: 200, body: [] });
  const define = (name: string, value: unknown): void => {
    Object.defineProperty(globalThis, name, { value, configurable: true, writable: true });
  };
  define('localStorage', {
    getItem: (key: string) => storage.get(key) ?? null,
    setItem: (key: string, value: string) => void storage.set(key, value),
    removeItem: (key: string) => void storage.delete(key),
    key: (at: number) => [...storage.keys()][at] ?? null,
    get length() {
      return storage.size;
    },
  });
  define('fetch', async (path: string, init: RequestInit = {}) => {
    const request: Asked = {
      path,
      method: init.method ?? 'GET',
      version: new Headers(init.headers).get('If-Match'),
      body: typeof init.body === 'string' ? JSON.parse(init.body) : (init.body ?? undefined),
    };
    asked.push(request);
    const { status, body } = handler(request);
    if (status === 0) throw new TypeError('network down');
    const answer = status < 400 ? body : { ...PROBLEM, status, ...(body as object) };
    return new Response(JSON.stringify(answer), { status });
  });
  define('Worker', Thread);
  define('window', { matchMedia: () => ({ matches: false, addEventListener: () => undefined }) });
  // Nobody sees it: nothing waits for a picture.
  define('document', { hidden: true, documentElement: { dataset: {} } });
  define('location', { hostname: 'lido', origin: 'http://lido:4870' });
  return { storage, asked, answer: (next) => (handler = next) };
}

export interface Asked {
  readonly path: string;
  readonly method: string;
  readonly version: string | null;
  readonly body: unknown;
}

/** What the pretended server answers; status 0 for a dropped connection. */
export type Handler = (request: Asked) => { status: number; body: unknown };
