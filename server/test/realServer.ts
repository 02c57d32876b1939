import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { build } from 'esbuild';

const ROOT = fileURLToPath(new URL('../..', import.meta.url));
const BUNDLE = path.join(ROOT, 'test-results', 'server-under-test.mjs');

let bundled: Promise<string> | undefined;
/** The server as it is shipped, bundled once for all tests of a run. */
const bundle = (): Promise<string> =>
  (bundled ??= build({
    entryPoints: [path.join(ROOT, 'server/src/main.ts')],
    outfile: BUNDLE,
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    packages: 'external',
    alias: { '@ratio/core': path.join(ROOT, 'core/src') },
    logLevel: 'error',
  }).then(() => BUNDLE));

/** A server in a process of its own. */
export interface RealServer {
  readonly child: ChildProcess;
  /** Where it listens; rejects with what it said where it ends instead. */
  readonly url: Promise<string>;
  /** Its exit code, null for a kill. */
  readonly ended: Promise<number | null>;
  /** All that it has said. */
  readonly said: () => string;
}

/** Starts the server over a folder, at a port that is free. */
export async function startServer(
  dataDir: string,
  env: Readonly<Record<string, string>> = {},
  nodeArgs: readonly string[] = [],
): Promise<RealServer> {
  const file = await bundle();
  const child = spawn(process.execPath, [...nodeArgs, file], {
    cwd: ROOT,
    env: {
      ...process.env,
      // What the tests reach is counted in their own process; here it would only take time.
      NODE_V8_COVERAGE: undefined,
      RATIO_DATA: dataDir,
      RATIO_PORT: '0',
      RATIO_LOG: 'info',
      ...env,
    },
  });
  let said = '';
  const ended = new Promise<number | null>((resolve) => child.once('close', resolve));
  const url = new Promise<string>((resolve, reject) => {
    for (const stream of [child.stdout, child.stderr])
      stream.setEncoding('utf8').on('data', (text: string) => {
        said += text;
        const match = /listens on (https?:\/\/[^\s"]+)/.exec(said);
        if (match) resolve(match[1]!);
      });
    void ended.then(() => reject(new Error(said)));
  });
  // Whoever kills it does not wait for its address.
  url.catch(() => undefined);
  return { child, url, ended, said: () => said };
}

/** Ends a server as a service manager does, and waits for it. */
export async function stopServer({ child, ended }: RealServer): Promise<number | null> {
  child.kill('SIGTERM');
  return ended;
}

/** Runs a test in a folder that is taken away afterwards. */
export async function inFolder<T>(work: (dataDir: string) => Promise<T>): Promise<T> {
  const dataDir = await mkdtemp(path.join(tmpdir(), 'ratio-real-'));
  try {
    return await work(dataDir);
  } finally {
    await rm(dataDir, { recursive: true, force: true });
  }
}
