import type { z } from 'zod';
import { useConnection } from '../stores/connection.ts';
import { ask, Unreachable } from './client.ts';

const keyOf = (path: string): string => `ratio.last.${path}`;

/**
 * Asks for something that pages cannot be without: where the server does not answer, what this tablet saw
 * last is taken, and the page says so.
 *
 * @throws {RequestProblem} with the server's problem document
 * @throws {Unreachable} where no answer came, and none is kept
 */
export async function askOrLast<S extends z.ZodType>(
  schema: S,
  path: string,
): Promise<z.output<S>> {
  const connection = useConnection();
  try {
    const answer = await ask(schema, path);
    connection.away = false;
    keep(path, answer);
    return answer;
  } catch (error) {
    const last = error instanceof Unreachable ? kept(schema, path) : undefined;
    if (last === undefined) throw error;
    connection.away = true;
    return last;
  }
}

function keep(path: string, answer: unknown): void {
  try {
    localStorage.setItem(keyOf(path), JSON.stringify(answer));
  } catch {
    // A full store loses the memory of what was seen, never what was written.
    localStorage.removeItem(keyOf(path));
  }
}

function kept<S extends z.ZodType>(schema: S, path: string): z.output<S> | undefined {
  try {
    const parsed = schema.safeParse(JSON.parse(localStorage.getItem(keyOf(path)) ?? 'null'));
    return parsed.success ? parsed.data : undefined;
  } catch {
    return undefined;
  }
}
