/** What the server answered of what a page reads first, by address; each is taken once. */
let answers: Promise<Map<string, unknown>> | null = null;

/** Asks for all that a page reads first; where no answer comes, each is asked for by itself. */
export function beginFirstAnswers(): void {
  answers = fetch('/api/start')
    .then(
      async (response) =>
        new Map(Object.entries(response.ok ? ((await response.json()) as object) : {})),
    )
    .catch(() => new Map());
}

/** From here on everything is asked for anew. */
export function endFirstAnswers(): void {
  answers = null;
}

/** @returns the first answer of an address; undefined where there is none, or none any more */
export async function firstAnswer(path: string): Promise<unknown> {
  const all = await answers;
  const one = all?.get(path);
  all?.delete(path);
  return one;
}
