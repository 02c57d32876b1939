import type { Change } from '@ratio/core/document';
import type { Request, Response } from 'express';
import type { Caller } from '../caller.ts';

/** Publishes to every open page what changed. */
export interface Changes {
  readonly publish: (caller: Caller, change: Change) => void;
  /** Server-sent events of the caller's shop, until the page goes away. */
  readonly stream: (caller: Caller, request: Request, response: Response) => void;
  /** Ends every stream, so that the server can stop. */
  readonly close: () => void;
}

const KEEP_ALIVE_MS = 25_000;

/** @returns the one channel of changes of a server */
export function createChanges(): Changes {
  const listeners = new Map<Response, string>();
  const heartbeat = setInterval(() => {
    for (const listener of listeners.keys()) listener.write(': still here\n\n');
  }, KEEP_ALIVE_MS);
  heartbeat.unref();
  return {
    publish: ({ shopId }, change) => {
      for (const [listener, theirs] of listeners)
        if (theirs === shopId) listener.write(`data: ${JSON.stringify(change)}\n\n`);
    },
    stream: ({ shopId }, request, response) => {
      // no-transform keeps the compression from holding events back.
      response.writeHead(200, {
        'Content-Type': 'text/event-stream',
        'Cache-Control': 'no-cache, no-transform',
      });
      response.write('retry: 2000\n\n');
      listeners.set(response, shopId);
      request.on('close', () => listeners.delete(response));
    },
    close: () => {
      clearInterval(heartbeat);
      for (const listener of listeners.keys()) listener.end();
    },
  };
}
