import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { test as base, expect } from '@playwright/test';

const ROOT = fileURLToPath(new URL('..', import.meta.url));
const LIDO_MORNING = '2026-06-13T06:40:00.000Z';

/** The lido's server as it is shipped, on a port and a folder of its own. */
export class Lido {
  readonly dataDir = mkdtempSync(path.join(tmpdir(), 'ratio-e2e-'));
  #port = 0;
  #server: ChildProcess | undefined;

  get url(): string {
    return `http://127.0.0.1:${this.#port}`;
  }

  async open(): Promise<void> {
    spawnSync(process.execPath, ['server/dist/seed.js'], {
      cwd: ROOT,
      env: this.#env(),
      stdio: 'inherit',
    });
    this.#port = await freePort();
    await this.start();
  }

  async start(): Promise<void> {
    this.#server = spawn(process.execPath, ['server/dist/main.js'], {
      cwd: ROOT,
      env: this.#env(),
      stdio: 'inherit',
    });
    for (let i = 0; i < 100; i++) {
      const well = await fetch(`${this.url}/api/health`).catch(() => null);
      if (well?.ok) return;
      await new Promise((resolve) => setTimeout(resolve, 100));
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

/** A test at the lido; a page that logs an error or reaches elsewhere fails it. */
export const test = base.extend<{ lido: Lido }>({
  lido: async ({ page }, use) => {
    const lido = new Lido();
    await lido.open();
    const wrong: string[] = [];
    page.on('pageerror', (error) => wrong.push(error.message));
    page.on('request', (request) => {
      if (!request.url().startsWith(lido.url) && !request.url().startsWith('data:'))
        wrong.push(`fetched ${request.url()}`);
    });
    await use(lido);
    await lido.close();
    expect(wrong).toEqual([]);
  },
});

export { expect };
