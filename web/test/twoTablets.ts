import type { AddressInfo } from 'node:net';
import { createPinia, setActivePinia } from 'pinia';
import { openLidoServer, type LidoServer } from '../../server/test/lidoServer.ts';
import { useBatches } from '../src/events/batches.ts';
import { useEventState } from '../src/events/eventState.ts';
import { useJugs } from '../src/events/jugs.ts';
import { useOutbox } from '../src/sync/outbox.ts';
import { useShop } from '../src/shop/shop.ts';
import { installBrowser, nativeFetch } from './browser.ts';

/** How a request fares on the way: it arrives, it does not, or its answer is lost. */
type Line = 'up' | 'down' | 'answer lost';

/** A real server, and tablets that reach it over a line that a test breaks. */
export interface Tablets {
  readonly server: LidoServer;
  /** A tablet that has just been switched on, with nothing in its storage, and has read the shop. */
  readonly open: () => Promise<Tablet>;
  /** Asks the server past every tablet. */
  readonly ask: (path: string, body?: object) => Promise<unknown>;
  /** Ends every steep and empties every jug. */
  readonly clear: () => Promise<void>;
  readonly close: () => Promise<void>;
  line: Line;
}
export type Tablet = Awaited<ReturnType<typeof openTablet>>;

export async function openTablets(): Promise<Tablets> {
  const { storage } = installBrowser();
  const server = await openLidoServer();
  const listening = server.app.listen(0, '127.0.0.1');
  await new Promise((resolve) => listening.once('listening', resolve));
  const base = `http://127.0.0.1:${(listening.address() as AddressInfo).port}`;
  const tablets: Tablets = {
    server,
    line: 'up',
    open: () => {
      storage.clear();
      tablets.line = 'up';
      return openTablet();
    },
    ask: async (path, body) => {
      const sent = body && { method: 'POST', body: JSON.stringify(body) };
      const headers = { 'Content-Type': 'application/json' };
      return (await nativeFetch(`${base}${path}`, { ...sent, headers })).json();
    },
    clear: async () => {
      const running = (await tablets.ask('/api/running')) as { id: string }[];
      for (const { id } of running)
        await tablets.ask(`/api/batches/${id}/actuals`, {
          id: `end-${id}`.slice(0, 60),
          kind: 'abandoned',
          note: 'over',
        });
      const jugs = (await tablets.ask('/api/jugs')) as { id: string }[];
      for (const { id } of jugs)
        await tablets.ask(`/api/jugs/${id}/entries`, {
          id: `end-${id}`.slice(0, 60),
          kind: 'counted',
          massG: 0,
        });
    },
    close: async () => {
      listening.closeAllConnections();
      listening.close();
      await server.close();
      globalThis.fetch = nativeFetch;
    },
  };
  globalThis.fetch = async (path, init) => {
    if (tablets.line === 'down') throw new TypeError('network down');
    const answer = await nativeFetch(`${base}${String(path)}`, init);
    const isLost = tablets.line === 'answer lost';
    tablets.line = isLost ? 'up' : tablets.line;
    if (isLost) throw new TypeError('answer lost');
    return answer;
  };
  return tablets;
}

async function openTablet() {
  setActivePinia(createPinia());
  const stores = {
    shop: useShop(),
    batches: useBatches(),
    jugs: useJugs(),
    outbox: useOutbox(),
    state: useEventState(),
  };
  const { shop, batches, jugs } = stores;
  const read = async (): Promise<void> => {
    await shop.load();
    await Promise.all([batches.load(), batches.loadRunning(), jugs.load(), jugs.loadLedger()]);
  };
  await read();
  return { ...stores, read };
}
