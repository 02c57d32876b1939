import { z } from 'zod';

/** What the server says line by line, and last of all. */
const saidSchema = z.object({
  lines: z.number().optional(),
  taken: z.number().default(0),
  known: z.number().default(0),
  problem: z.string().optional(),
  detail: z.string().optional(),
});

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
  let last = saidSchema.parse({});
  let held = '';
  const decoder = new TextDecoder();
  const reader = response.body!.getReader();
  for (;;) {
    const { done, value } = await reader.read();
    held += decoder.decode(value, { stream: !done });
    const said = held.split('\n');
    held = done ? '' : said.pop()!;
    for (const line of said.filter(Boolean)) {
      last = saidSchema.parse(JSON.parse(line));
      if (last.lines !== undefined) tell(last.lines);
    }
    if (done) break;
  }
  const problem = last.problem ?? (response.ok ? undefined : last.detail);
  if (problem !== undefined) throw new Error(problem);
  return { taken: last.taken, known: last.known };
}
