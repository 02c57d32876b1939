const START_PATH = '/api/start';

/** What the server answered of what a page reads first, by address; each is taken once. */
let answers: Promise<Map<string, unknown>> | null = null;
/** After which change they were read. */
let readAfter: string | null = null;
/** When they came, ms of the page. */
let cameMs = 0;
/** How long each of them waited for the script that took it, ms. */
const waited = new Map<string, number>();
/** The browser asks for the first ones with the page, before a script runs. */
let isAskedAhead = true;

/** Asks for all that a page reads first; where no answer comes, each is asked for by itself. */
export function beginFirstAnswers(): void {
  readAfter = null;
  const wasAskedAhead = isAskedAhead;
  // Where they do not come, whatever is asked for next is asked for here.
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

/** From here on everything is asked for anew. */
export function endFirstAnswers(): void {
  answers = null;
  waited.clear();
}

/** @returns the first answer of an address; undefined where there is none, or none any more */
export async function firstAnswer(path: string): Promise<unknown> {
  const all = await answers;
  const one = all?.get(path);
  if (all?.delete(path)) waited.set(path, performance.now() - cameMs);
  else waited.delete(path);
  return one;
}

/** @returns for how long the answer of an address was here before it was taken, ms; 0 for one that was just sent */
export const waitedMs = (path: string): number => waited.get(path) ?? 0;

/** @returns after which change the first answers were read; null where nothing says so */
export const firstReadAfter = (): string | null => readAfter;

/** When the browser had what it asked for ahead, ms of the page. */
function aheadCameMs(): number | undefined {
  const asked = performance.getEntriesByType('resource') as PerformanceResourceTiming[];
  return asked.find(({ name }) => name.endsWith(START_PATH))?.responseEnd;
}
