import { idSchema } from '@ratio/core/document';
import express, { type Express, type Request, type Response } from 'express';
import { createHash } from 'node:crypto';
import { z } from 'zod';
import type { RoledCaller } from './caller.ts';
import type { Identified } from './database/documents.ts';
import type { RememberedRead } from './database/rememberReads.ts';
import type { KeptDocuments } from './keepDocuments.ts';
import { RIGHTS } from './people/rights.ts';
import type { Origin, PeopleService } from './people/service.ts';
import { callerFor, cookieKeeper, originOf, type CookieName } from './people/identity.ts';
import { bodyProblem, ProblemError } from './problem.ts';

/** What a handler gets of a request, checked. */
export interface Call<B, Q = unknown> {
  readonly caller: RoledCaller;
  /** Where the request comes from, before anybody has signed in. */
  readonly origin: Origin;
  /** Address of the sender. */
  readonly from: string;
  /** Sets a token's cookie in the browser, or clears it. */
  readonly keep: (name: CookieName, token: string | null) => void;
  readonly body: B;
  /** The validated query; empty where the endpoint has none. */
  readonly query: Q;
  /** Parts of the path by name; every name of the path is there. */
  readonly params: Readonly<Record<string, string>>;
  /** Version that the client saw, from If-Match. */
  readonly seenVersion: number | null;
}

/** One endpoint, written once: the router, the checks and the description are made from it. */
export interface Endpoint<B = unknown, Q = unknown> {
  readonly method: 'get' | 'post' | 'put' | 'delete';
  /** With its variables in braces: /api/jugs/{id}/entries. */
  readonly path: string;
  readonly summary: string;
  readonly body?: z.ZodType<B>;
  readonly query?: z.ZodType<Q>;
  readonly answer: z.ZodType;
  readonly status?: number;
  /** The answer depends on stored data and the role only: it is serialized once until the next write. */
  readonly isStored?: boolean;
  readonly handle: (call: Call<B, Q>) => unknown;
}

/** Ties a body's schema to its handler's type. */
export const endpoint = <B = undefined, Q = undefined>(definition: Endpoint<B, Q>): Endpoint =>
  definition as Endpoint;

/**
 * The identity in a path, for a document that may be made by the request.
 *
 * @throws {ProblemError} bad_request where it is none
 */
export function idOf(params: Call<unknown>['params']): string {
  const parsed = idSchema.safeParse(params['id']);
  if (parsed.success) return parsed.data;
  throw new ProblemError('bad_request', 'An id has small letters, digits and dashes, at most 64.');
}

/** @returns the schema of a document in a write: without identity and version */
export const bodyOf = <S extends z.ZodObject<{ id: z.ZodType; version: z.ZodType }>>(schema: S) =>
  schema.omit({ id: true, version: true } as never).strict() as unknown as z.ZodType<
    Omit<z.infer<S>, 'id' | 'version'>
  >;

/** @returns the endpoints by which documents of one kind are listed and written */
export function documentEndpoints<T extends Identified>(input: {
  path: string;
  schema: z.ZodObject<{ id: z.ZodType; version: z.ZodType }> & z.ZodType<T>;
  list: string;
  save: string;
  /** Where they can be taken away. */
  remove?: string;
  documents: KeptDocuments<T>;
}): Endpoint[] {
  const { path, schema, documents, remove } = input;
  const endpoints = [
    endpoint({
      method: 'get',
      path,
      summary: input.list,
      answer: z.array(schema),
      isStored: true,
      handle: ({ caller }) => documents.list(caller),
    }),
    endpoint({
      method: 'put',
      path: `${path}/{id}`,
      summary: input.save,
      body: bodyOf(schema) as z.ZodType<Omit<T, 'id' | 'version'>>,
      answer: schema,
      handle: ({ caller, body, params, seenVersion }) =>
        documents.save(caller, { id: idOf(params), seenVersion, body }),
    }),
  ];
  if (remove === undefined) return endpoints;
  return [
    ...endpoints,
    endpoint({
      method: 'delete',
      path: `${path}/{id}`,
      summary: remove,
      answer: z.strictObject({ id: idSchema }),
      handle: async ({ caller, params, seenVersion }) => {
        const id = idOf(params);
        await documents.remove(caller, { id, seenVersion });
        return { id };
      },
    }),
  ];
}

const LIMIT = '256kb';

interface Mounting {
  readonly people: PeopleService;
  readonly shopId: string;
  readonly remembered: RememberedRead;
}

/** Mounts endpoints; a path asked with another method is answered 405. */
export function mountEndpoints(
  app: Express,
  endpoints: readonly Endpoint[],
  { people, shopId, remembered }: Mounting,
): void {
  app.use('/api', express.json({ limit: LIMIT }));
  for (const one of endpoints) {
    const right = RIGHTS[`${one.method} ${one.path}`];
    if (right === undefined) throw new Error(`Who may ${one.method} ${one.path}?`);
    app[one.method](expressPath(one.path), async (request: Request, response: Response) => {
      const origin = originOf(request);
      const caller = await callerFor({ people, shopId, origin, right });
      const ask = () =>
        one.handle({
          ...callOf(one, request),
          caller,
          origin,
          keep: cookieKeeper(request, response),
        });
      response.status(one.status ?? 200);
      if (one.isStored !== true) {
        response.json(await ask());
        return;
      }
      const key = JSON.stringify([caller.shopId, caller.role, request.originalUrl]);
      const { text, tag } = (await remembered(key, async () => writtenOut(await ask())))!;
      response.set('ETag', tag).type('json').send(text);
    });
  }
  for (const path of new Set(endpoints.map((one) => one.path)))
    app.all(expressPath(path), (request) => {
      const known = endpoints.filter((one) => one.path === path);
      const methods = known.map(({ method }) => method.toUpperCase()).join(', ');
      throw new ProblemError(
        'method_not_allowed',
        `${request.method} is not known here; ${methods} is.`,
      );
    });
}

/** An answer as it is sent, and the name of just this text. */
function writtenOut(answer: unknown): { text: string; tag: string } {
  const text = JSON.stringify(answer);
  return { text, tag: `W/"${createHash('sha1').update(text).digest('base64url')}"` };
}

const expressPath = (path: string): string => path.replaceAll(/\{(\w+)\}/g, ':$1');

function callOf(
  one: Endpoint,
  request: Request,
): Omit<Call<unknown>, 'caller' | 'origin' | 'keep'> {
  return {
    from: request.ip ?? '',
    body: one.body ? parseBody(one.body, request) : undefined,
    query: one.query ? parseQuery(one.query, request) : undefined,
    params: request.params as Record<string, string>,
    seenVersion: seenVersion(request.get('If-Match')),
  };
}

function parseBody(schema: z.ZodType, request: Request): unknown {
  if (!request.is(['application/json', '+json']))
    throw new ProblemError(
      'unsupported_media_type',
      'Send a body with Content-Type: application/json.',
    );
  const parsed = schema.safeParse(request.body);
  if (!parsed.success) throw bodyProblem(parsed.error);
  return parsed.data;
}

function parseQuery(schema: z.ZodType, request: Request): unknown {
  const parsed = schema.safeParse(request.query);
  if (parsed.success) return parsed.data;
  const [issue] = parsed.error.issues;
  throw new ProblemError(
    'bad_request',
    `${issue?.path.join('.') || 'The query'}: ${issue?.message}`,
  );
}

function seenVersion(header: string | undefined): number | null {
  if (header === undefined) return null;
  const match = /^"?(\d{1,9})"?$/.exec(header.trim());
  if (!match) throw new ProblemError('bad_request', 'If-Match holds the version, as in "3".');
  return Number(match[1]);
}
