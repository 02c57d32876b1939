/** What the server says line by line, and last of all. */
interface Said {
  readonly lines?: number;
  readonly taken?: number;
  readonly known?: number;
  readonly problem?: string;
  readonly detail?: string;
}

/**
 * Sends the batches of an old log.
 *
 * @param lines as JSON, one batch to a line
 * @param tell hears how many lines the server has looked at
 * @returns how many were taken in, and how many were there already
 * @throws {Error} with the server's own sentence; then nothing was taken in
 */
export async function sendLog(
  lines: Blob,
  signal: AbortSignal,
  tell: (lines: number) => void,
): Promise<{ taken: number; known: number }> {
  const response = await fetch('/api/log/import', {
    method: 'POST',
    headers: { 'Content-Type': 'application/x-ndjson' },
    body: lines,
    signal,
  });
  let last: Said = {};
  let held = '';
  const decoder = new TextDecoder();
  const reader = response.body!.getReader();
  for (;;) {
    const { done, value } = await reader.read();
    held += decoder.decode(value, { stream: !done });
    const said = held.split('\n');
    held = done ? '' : said.pop()!;
    for (const line of said.filter(Boolean)) {
      last = JSON.parse(line) as Said;
      if (last.lines !== undefined) tell(last.lines);
    }
    if (done) break;
  }
  const problem = last.problem ?? (response.ok ? undefined : last.detail);
  if (problem !== undefined) throw new Error(problem);
  return { taken: last.taken ?? 0, known: last.known ?? 0 };
}
