import { isOurs, keptText, keptValue } from './ours.ts';
import { useConnection } from './connection.ts';
import { ask, Unreachable } from './client.ts';

/** Behind what it was asked for: to write a long list down takes longer than a picture. */
const later = globalThis.requestIdleCallback ?? ((work: () => void) => work());

const keyOf = (path: string): string => `ratio.last.${path}`;

/**
 * Asks for something that pages cannot be without: where the server does not answer, what this tablet saw
 * last is taken, and the page says so.
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
    // A full store loses the memory of what was seen, never what was written.
    localStorage.removeItem(keyOf(path));
  }
}

/** What was seen last, by a program of these shapes. */
function kept<T>(path: string): T | undefined {
  const text = localStorage.getItem(keyOf(path));
  try {
    return text !== null && isOurs(text) ? (keptValue(text) as T) : undefined;
  } catch {
    return undefined;
  }
}
