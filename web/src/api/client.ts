import type { Problem } from '@ratio/core/document';

/** A request that the server refused, with the reason in its own words. */
export class RequestProblem extends Error {
  override readonly name = 'RequestProblem';
  readonly problem: Problem & { current?: unknown };

  constructor(problem: Problem & { current?: unknown }) {
    super(problem.detail);
    this.problem = problem;
  }
}

/** A request that got no answer: nothing is lost, it can be sent again. */
export class Unreachable extends Error {
  override readonly name = 'Unreachable';
}

/**
 * Asks the server.
 *
 * @throws {RequestProblem} with the server's problem document
 * @throws {Unreachable} where no answer came
 */
export async function ask<T>(
  path: string,
  options: { method?: 'GET' | 'POST' | 'PUT' | 'DELETE'; body?: unknown; version?: number } = {},
): Promise<T> {
  const { method = 'GET', body, version } = options;
  const response = await fetch(path, {
    method,
    headers: {
      ...(body === undefined ? {} : { 'Content-Type': 'application/json' }),
      ...(version === undefined ? {} : { 'If-Match': `"${version}"` }),
    },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  }).catch((cause: unknown) => {
    throw new Unreachable('The server does not answer. Nothing is lost; try again.', { cause });
  });
  const answer: unknown = await response.json().catch(() => null);
  if (response.ok) return answer as T;
  if (answer === null)
    throw new Unreachable('The server answers oddly. Nothing is lost; try again.');
  throw new RequestProblem(answer as Problem);
}

/** @returns a sentence for whoever stands at the page */
export const sentenceOf = (error: unknown): string =>
  error instanceof Error ? error.message : 'Something went wrong.';

/** @returns a new identity, made here so that a repeated request is known again */
export const newId = (): string => crypto.randomUUID();
