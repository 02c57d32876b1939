import { problemSchema, type Problem } from '@ratio/core/document';
import { createEventHook } from '@vueuse/core';
import { v4 } from 'uuid';
import { z } from 'zod';
import { firstAnswer } from './firstAnswers.ts';

/** A problem with the document as it is now, for a stale write. */
const refusalSchema = problemSchema.extend({ current: z.unknown().optional() });

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
 * Asks the server.
 *
 * @param schema what the answer must be; one that is not counts as none
 * @throws {RequestProblem} with the server's problem document
 * @throws {Unreachable} where no answer came
 */
export async function ask<S extends z.ZodType>(
  schema: S,
  path: string,
  options: Asking = {},
): Promise<z.output<S>> {
  const { method = 'GET', body, version } = options;
  const known = method === 'GET' ? schema.safeParse(await firstAnswer(path)) : null;
  if (known?.success) return known.data;
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
  const parsed = response.ok ? schema.safeParse(answer) : null;
  if (parsed?.success) return parsed.data;
  const refusal = refusalSchema.safeParse(answer);
  if (refusal.success) {
    if (refusal.data.code === 'sign_in') void signInAsked.trigger(refusal.data);
    throw new RequestProblem(refusal.data);
  }
  throw new Unreachable('The server’s answer cannot be read. Nothing is lost; reload the page.', {
    cause: parsed?.error,
  });
}

/** @returns a sentence for whoever stands at the page */
export const sentenceOf = (error: unknown): string =>
  error instanceof Error ? error.message : 'Something went wrong.';

/**
 * A new identity, made here so that a repeated request is known again. By random values: a tablet on
 * plain HTTP is no secure context, and has nothing else.
 */
export const newId = (): string => v4();
