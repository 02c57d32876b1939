const START_PATH = '/api/start';

/** The answers to what a page reads first, by address; each is used once. */
let answers: Promise<Map<string, unknown>> | null = null;
/** The number of the last change that they include. */
let readAfter: string | null = null;
/** When they arrived, ms since the page began. */
let cameMs = 0;
/** How long each of them waited for the script that took it, ms. */
const waited = new Map<string, number>();
/** The document preloads them, before a script runs. */
let isAskedAhead = true;

/** Requests everything that a page reads first at once; without an answer, each read sends its own request. */
export function beginFirstAnswers(): void {
  readAfter = null;
  const wasAskedAhead = isAskedAhead;
  // Without them, the next read sends its own request.
  isAskedAhead = false;
  answers = fetch(START_PATH)
    .then(async (response) => {
      cameMs = (wasAskedAhead ? aheadCameMs() : undefined) ?? performance.now();
      const { after, ...all } = response.ok ? ((await response.json()) as { after?: unknown }) : {};
      readAfter = typeof after === 'string' ? after : null;
      return new Map(Object.entries(all));
    })
    .catch(() => new Map());
}

/** From now on every read sends a request. */
export function endFirstAnswers(): void {
  answers = null;
  waited.clear();
}

/** @returns the first answer to an address; undefined where there is none, or it was used */
export async function firstAnswer(path: string): Promise<unknown> {
  const all = await answers;
  const one = all?.get(path);
  if (all?.delete(path)) waited.set(path, performance.now() - cameMs);
  else waited.delete(path);
  return one;
}

/** @returns for how long the answer of an address was here before it was taken, ms; 0 for one that was just sent */
export const waitedMs = (path: string): number => waited.get(path) ?? 0;

/** @returns the number of the last change that the first answers include; null where it is not known */
export const firstReadAfter = (): string | null => readAfter;

/** When the preloaded answer had arrived, ms since the page began. */
function aheadCameMs(): number | undefined {
  const asked = performance.getEntriesByType('resource') as PerformanceResourceTiming[];
  return asked.find(({ name }) => name.endsWith(START_PATH))?.responseEnd;
}
