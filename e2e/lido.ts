import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { createServer, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { test as base, expect, type Page } from '@playwright/test';

export const ROOT = fileURLToPath(new URL('..', import.meta.url));
export const LIDO_MORNING = '2026-06-13T06:40:00.000Z';
/** A name of the shop's machine, as tablets reach it: no secure context. */
export const TABLET_NAME = 'ratio.lido.test';
/** Where the environment says which folder holds the seeded database. */
export const SEEDED_DIR = 'RATIO_E2E_SEEDED';
const PATIENCE_MS = 30_000;
const ASK_AGAIN_MS = 25;

/** The lido's server as it is shipped, on a port and a folder of its own. */
export class Lido {
  readonly dataDir = mkdtempSync(path.join(tmpdir(), 'ratio-e2e-'));
  #port = 0;
  #server: ChildProcess | undefined;

  get url(): string {
    return `http://127.0.0.1:${this.#port}`;
  }

  /** The same server as a tablet reaches it. */
  get tabletUrl(): string {
    return `http://${TABLET_NAME}:${this.#port}`;
  }

  /** @param isSeeded whether it begins with the lido's data; else with nothing at all */
  async open(isSeeded = true): Promise<void> {
    if (isSeeded) cpSync(process.env[SEEDED_DIR]!, this.dataDir, { recursive: true });
    this.#port = await freePort();
    await this.start();
  }

  async start(): Promise<void> {
    this.#server = spawn(process.execPath, ['server/dist/main.js'], {
      cwd: ROOT,
      env: this.#env(),
      stdio: 'inherit',
    });
    for (const end = Date.now() + PATIENCE_MS; Date.now() < end;) {
      const well = await fetch(`${this.url}/api/health`).catch(() => null);
      if (well?.ok) return;
      await new Promise((resolve) => setTimeout(resolve, ASK_AGAIN_MS));
    }
    throw new Error('The server did not come up.');
  }

  /** Ends the server without a warning, as a pulled plug does. */
  async kill(signal: NodeJS.Signals = 'SIGKILL'): Promise<void> {
    if (!this.#server || this.#server.exitCode !== null) return;
    const gone = once(this.#server, 'exit');
    this.#server.kill(signal);
    await gone;
  }

  async close(): Promise<void> {
    await this.kill('SIGTERM');
    rmSync(this.dataDir, { recursive: true, force: true });
  }

  #env(): NodeJS.ProcessEnv {
    return {
      ...process.env,
      RATIO_DATA: this.dataDir,
      RATIO_PORT: String(this.#port),
      RATIO_NOW: LIDO_MORNING,
      RATIO_NAMES: TABLET_NAME,
      RATIO_LOG: 'error',
    };
  }
}

async function freePort(): Promise<number> {
  const probe = createServer().listen(0, '127.0.0.1');
  await once(probe, 'listening');
  const { port } = probe.address() as AddressInfo;
  probe.close();
  return port;
}

/** Fails a test whose page logs an error or reaches elsewhere. */
async function watched(page: Page, lido: Lido, use: (lido: Lido) => Promise<void>): Promise<void> {
  const wrong: string[] = [];
  page.on('pageerror', (error) => wrong.push(error.message));
  page.on('request', (request) => {
    const isOwn = [lido.url, lido.tabletUrl, 'data:'].some((own) => request.url().startsWith(own));
    if (!isOwn) wrong.push(`fetched ${request.url()}`);
  });
  await use(lido);
  expect(wrong).toEqual([]);
}

/** A test at the lido, with a server and a database of its own. */
export const test = base.extend<{ lido: Lido }>({
  lido: async ({ page }, use) => {
    const lido = new Lido();
    await lido.open();
    await watched(page, lido, use);
    await lido.close();
  },
});

/** A test in a shop that has nothing yet. */
export const freshTest = base.extend<{ lido: Lido }>({
  lido: async ({ page }, use) => {
    const lido = new Lido();
    await lido.open(false);
    await watched(page, lido, use);
    await lido.close();
  },
});

/** A test that only looks: it shares its server with the others of its worker. */
export const lookingTest = base.extend<{ lido: Lido }, { sharedLido: Lido }>({
  sharedLido: [
    async ({ browser: _ }, use) => {
      const lido = new Lido();
      await lido.open();
      await use(lido);
      await lido.close();
    },
    { scope: 'worker' },
  ],
  lido: ({ page, sharedLido }, use) => watched(page, sharedLido, use),
});

/** Nothing is added to a page that stands for so long; and no page takes longer than the other. */
const STILL_MS = 200;
const MOST_MS = 3000;

/** Waits until all of a page stands: its parts are put up one after another. */
export async function stands(page: Page): Promise<void> {
  await expect(page.getByText('Fetching the shop')).toHaveCount(0);
  await page.evaluate(
    ([still, most]) =>
      new Promise<void>((resolve) => {
        const done = (): void => {
          watch.disconnect();
          resolve();
        };
        let timer = setTimeout(done, still);
        const watch = new MutationObserver(() => {
          clearTimeout(timer);
          timer = setTimeout(done, still);
        });
        watch.observe(document.body, { childList: true, subtree: true });
        setTimeout(done, most);
      }),
    [STILL_MS, MOST_MS] as const,
  );
}

export { expect };
