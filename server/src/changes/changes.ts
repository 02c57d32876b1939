import type { Request, Response } from 'express';

/** That a document of a noun changed; who listens reads it again. */
export interface Change {
  readonly noun: 'batches' | 'jugs' | 'drafts' | 'shelf' | 'samples' | 'pantry';
  readonly id: string;
}

/** Tells every open page what changed. */
export interface Changes {
  readonly tell: (change: Change) => void;
  /** Server-sent events, until the page goes away. */
  readonly stream: (request: Request, response: Response) => void;
  /** Ends every stream, so that the server can stop. */
  readonly close: () => void;
}

const KEEP_ALIVE_MS = 25_000;

/** @returns the one channel of changes of a server */
export function createChanges(): Changes {
  const listeners = new Set<Response>();
  const heartbeat = setInterval(() => {
    for (const listener of listeners) listener.write(': still here\n\n');
  }, KEEP_ALIVE_MS);
  heartbeat.unref();
  return {
    tell: (change) => {
      for (const listener of listeners) listener.write(`data: ${JSON.stringify(change)}\n\n`);
    },
    stream: (request, response) => {
      // no-transform keeps the compression from holding events back.
      response.writeHead(200, {
        'Content-Type': 'text/event-stream',
        'Cache-Control': 'no-cache, no-transform',
      });
      response.write('retry: 2000\n\n');
      listeners.add(response);
      request.on('close', () => listeners.delete(response));
    },
    close: () => {
      clearInterval(heartbeat);
      for (const listener of listeners) listener.end();
    },
  };
}
