import { randomUUID } from 'node:crypto';
import { NOUNS, type Change, type Noun } from '@ratio/core/document';
import type { InstrumentState } from '@ratio/core/instruments';
import type { Request, Response } from 'express';
import type { Caller } from '../caller.ts';
import { ProblemError } from '../problem.ts';

/** Publishes to every open page what changed. */
export interface Changes {
  readonly publish: (caller: Caller, change: Change) => void;
  /** The number of the latest change: a reader asks later for the changes after it. */
  readonly latest: () => string;
  /**
   * Server-sent events of the caller's shop, until the page goes away. `with=instruments` in the query:
   * what instruments say comes with them. `after` the name of a moment: what changed since comes first,
   * each noun once; all of them where the server began anew meanwhile.
   */
  readonly stream: (caller: Caller, request: Request, response: Response) => void;
  /** Sends what an instrument says to the pages that watch it; a page that does not keep up misses some. */
  readonly sendInstrument: (shopId: string, state: InstrumentState) => void;
  /** Whether any page of a shop watches its instruments. */
  readonly isWatching: (shopId: string) => boolean;
  /** Ends every stream, so that the server can stop. */
  readonly close: () => void;
}

/** Changes that are remembered for pages that are opening. */
const MOST_REMEMBERED = 500;
const KEEP_ALIVE_MS = 25_000;
/** Streams that one address may hold, and all together: each open page holds one. */
const FROM_ONE = 40;
const IN_ALL = 400;

/** @returns the one channel of changes of a server */
export function createChanges(): Changes {
  const listeners = new Map<Response, { shopId: string; from: string; withInstruments: boolean }>();
  const run = randomUUID();
  const remembered: { readonly shopId: string; readonly noun: Noun }[] = [];
  let count = 0;
  const latest = (): string => `${run}.${count}`;
  /** What changed in a shop after a moment; everything, for all that is known, where its name is unknown. */
  function changedAfter(shopId: string, after: string): ReadonlySet<Noun> {
    const [ofRun, number = ''] = after.split('.');
    const missed = ofRun === run && /^\d{1,9}$/.test(number) ? count - Number(number) : Infinity;
    if (missed < 0 || missed > remembered.length) return new Set(NOUNS);
    const since = remembered.slice(remembered.length - missed);
    return new Set(since.filter((one) => one.shopId === shopId).map(({ noun }) => noun));
  }
  const heartbeat = setInterval(() => {
    for (const listener of listeners.keys()) listener.write(': still here\n\n');
  }, KEEP_ALIVE_MS);
  heartbeat.unref();
  return {
    publish: ({ shopId }, change) => {
      count += 1;
      remembered.push({ shopId, noun: change.noun });
      if (remembered.length > MOST_REMEMBERED) remembered.shift();
      for (const [listener, theirs] of listeners)
        if (theirs.shopId === shopId)
          listener.write(`id: ${latest()}\ndata: ${JSON.stringify(change)}\n\n`);
    },
    latest,
    stream: ({ shopId }, request, response) => {
      const { with: also, after } = request.query;
      const from = request.ip ?? '';
      const theirs = [...listeners.values()].filter((one) => one.from === from).length;
      if (theirs >= FROM_ONE || listeners.size >= IN_ALL)
        throw new ProblemError('too_many', 'Too many pages are open here. Close some of them.');
      // no-transform keeps the compression from holding events back.
      response.writeHead(200, {
        'Content-Type': 'text/event-stream',
        'Cache-Control': 'no-cache, no-transform',
      });
      // The id makes a reconnecting browser recognizable: its page reads everything then.
      response.write(`retry: 2000\nid: ${latest()}\n\n`);
      if (typeof after === 'string' && request.get('Last-Event-ID') === undefined)
        for (const noun of changedAfter(shopId, after))
          response.write(`data: ${JSON.stringify({ noun })}\n\n`);
      listeners.set(response, { shopId, from, withInstruments: also === 'instruments' });
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
