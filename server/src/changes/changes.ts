import type { Change } from '@ratio/core/document';
import type { InstrumentState } from '@ratio/core/instruments';
import type { Request, Response } from 'express';
import type { Caller } from '../caller.ts';
import { ProblemError } from '../problem.ts';

/** Publishes to every open page what changed. */
export interface Changes {
  readonly publish: (caller: Caller, change: Change) => void;
  /** Server-sent events of the caller's shop, until the page goes away. */
  readonly stream: (
    caller: Caller,
    request: Request,
    response: Response,
    /** Whether what instruments say comes with it. */
    withInstruments?: boolean,
  ) => void;
  /** Sends what an instrument says to the pages that watch it; a page that does not keep up misses some. */
  readonly sendInstrument: (shopId: string, state: InstrumentState) => void;
  /** Whether any page of a shop watches its instruments. */
  readonly isWatching: (shopId: string) => boolean;
  /** Ends every stream, so that the server can stop. */
  readonly close: () => void;
}

const KEEP_ALIVE_MS = 25_000;
/** Streams that one address may hold, and all together: each open page holds one. */
const FROM_ONE = 40;
const IN_ALL = 400;

/** @returns the one channel of changes of a server */
export function createChanges(): Changes {
  const listeners = new Map<Response, { shopId: string; from: string; withInstruments: boolean }>();
  const heartbeat = setInterval(() => {
    for (const listener of listeners.keys()) listener.write(': still here\n\n');
  }, KEEP_ALIVE_MS);
  heartbeat.unref();
  return {
    publish: ({ shopId }, change) => {
      for (const [listener, theirs] of listeners)
        if (theirs.shopId === shopId) listener.write(`data: ${JSON.stringify(change)}\n\n`);
    },
    stream: ({ shopId }, request, response, withInstruments = false) => {
      const from = request.ip ?? '';
      const theirs = [...listeners.values()].filter((one) => one.from === from).length;
      if (theirs >= FROM_ONE || listeners.size >= IN_ALL)
        throw new ProblemError('too_many', 'Too many pages are open here. Close some of them.');
      // no-transform keeps the compression from holding events back.
      response.writeHead(200, {
        'Content-Type': 'text/event-stream',
        'Cache-Control': 'no-cache, no-transform',
      });
      response.write('retry: 2000\n\n');
      listeners.set(response, { shopId, from, withInstruments });
      request.on('close', () => listeners.delete(response));
    },
    sendInstrument: (shopId, state) => {
      const event = `event: instrument\ndata: ${JSON.stringify(state)}\n\n`;
      for (const [listener, theirs] of listeners)
        if (theirs.shopId === shopId && theirs.withInstruments && !listener.writableNeedDrain)
          listener.write(event);
    },
    isWatching: (shopId) =>
      [...listeners.values()].some((one) => one.shopId === shopId && one.withInstruments),
    close: () => {
      clearInterval(heartbeat);
      for (const listener of listeners.keys()) listener.end();
    },
  };
}
