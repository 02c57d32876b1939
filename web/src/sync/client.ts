import type { Problem } from '@ratio/core/document';
import { createEventHook } from '@vueuse/core';
import { v4 } from 'uuid';
import { isObject } from './json.ts';
import { firstAnswer } from './firstAnswers.ts';

/** A problem document; for a stale write with the current document. */
type Refusal = Problem & { readonly current?: unknown };

/** A request that the server refused, with the reason in its own words. */
export class RequestProblem extends Error {
  override readonly name = 'RequestProblem';
  readonly problem: Refusal;

  constructor(problem: Refusal) {
    super(problem.detail);
    this.problem = problem;
  }
}

/** A request that got no answer: nothing is lost, it can be sent again. */
export class Unreachable extends Error {
  override readonly name = 'Unreachable';
}

const signInAsked = createEventHook<Problem>();
/** Tells when the server wants somebody to sign in: a session ended, a tablet was forgotten. */
export const onSignInAsked = signInAsked.on;

export interface Asking {
  readonly method?: 'GET' | 'POST' | 'PUT' | 'DELETE';
  /** Sent as JSON; a photograph as what it is. */
  readonly body?: unknown;
  /** Version that was seen; 0 for a new document. */
  readonly version?: number;
}

/**
 * Sends a request. The server validates requests and fills in answers, so pages trust the type of an
 * answer and ship no schemas to check it.
 *
 * @throws {RequestProblem} with the server's problem document
 * @throws {Unreachable} where no answer came, or one that is not the server's
 */
export async function ask<T>(path: string, options: Asking = {}): Promise<T> {
  const { method = 'GET', body, version } = options;
  const known = method === 'GET' ? await firstAnswer(path) : undefined;
  if (isObject(known)) return known as T;
  const response = await fetch(path, {
    method,
    headers: {
      ...(body === undefined
        ? {}
        : { 'Content-Type': body instanceof Blob ? body.type : 'application/json' }),
      ...(version === undefined ? {} : { 'If-Match': `"${version}"` }),
    },
    ...(body === undefined ? {} : { body: body instanceof Blob ? body : JSON.stringify(body) }),
  }).catch((cause: unknown) => {
    throw new Unreachable('The server does not answer. Nothing is lost; try again.', { cause });
  });
  const answer: unknown = await response.json().catch(() => null);
  if (response.ok && isObject(answer)) return answer as T;
  if (!response.ok && isRefusal(answer)) {
    if (answer.code === 'sign_in') void signInAsked.trigger(answer);
    throw new RequestProblem(answer);
  }
  throw new Unreachable('The server’s answer cannot be read. Nothing is lost; reload the page.');
}

const isRefusal = (answer: unknown): answer is Refusal =>
  isObject(answer) && 'code' in answer && typeof answer['detail'] === 'string';

/** @returns a sentence for the reader of the page */
export const sentenceOf = (error: unknown): string =>
  error instanceof Error ? error.message : 'Something went wrong.';

/**
 * A new identity. The page makes it, so that the server recognizes a repeated request. It uses
 * getRandomValues: a tablet on plain HTTP is no secure context and has no randomUUID.
 */
export const newId = (): string => v4();
