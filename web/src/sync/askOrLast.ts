import { isOurs, keptText, keptValue } from './ours.ts';
import { useConnection } from './connection.ts';
import { ask, Unreachable } from './client.ts';

/** Stores an answer after the page has used it: a long list takes longer to write than a frame lasts. */
const later = globalThis.requestIdleCallback ?? ((work: () => void) => work());

const keyOf = (path: string): string => `ratio.last.${path}`;

/**
 * Reads something that pages need. Where the server does not answer, the last answer that this tablet stored
 * is used, and the page says so.
 *
 * @throws {RequestProblem} with the server's problem document
 * @throws {Unreachable} where no answer came, and none is kept
 */
export async function askOrLast<T>(path: string): Promise<T> {
  const connection = useConnection();
  try {
    const answer = await ask<T>(path);
    connection.away = false;
    later(() => keep(path, answer));
    return answer;
  } catch (error) {
    const last = error instanceof Unreachable ? kept<T>(path) : undefined;
    if (last === undefined) throw error;
    connection.away = true;
    return last;
  }
}

function keep(path: string, answer: unknown): void {
  try {
    localStorage.setItem(keyOf(path), keptText(answer));
  } catch {
    // A full storage drops stored answers, never writes that wait.
    localStorage.removeItem(keyOf(path));
  }
}

/** The stored answer, where a program with the same shapes wrote it. */
function kept<T>(path: string): T | undefined {
  const text = localStorage.getItem(keyOf(path));
  try {
    return text !== null && isOurs(text) ? (keptValue(text) as T) : undefined;
  } catch {
    return undefined;
  }
}
