// What every script shares. Node built-ins only: it runs before anything is installed.
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { createHash } from 'node:crypto';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = fileURLToPath(new URL('..', import.meta.url));
const STAMP = path.join(ROOT, 'node_modules', '.ratio-installed');
export const CHROMIUM = '/usr/bin/chromium';

const has = (command) => spawnSync('sh', ['-c', `command -v ${command}`]).status === 0;
const isRoot = () => process.getuid?.() === 0;

/** Runs a command in the project, its output shown; ends the script where it fails. */
export function run(command, args, env = {}) {
  const { status } = spawnSync(command, args, {
    cwd: ROOT,
    stdio: 'inherit',
    env: { ...process.env, ...env },
  });
  if (status !== 0) {
    console.error(`\n${command} ${args.join(' ')} failed.`);
    process.exit(status ?? 1);
  }
}

function aptInstall(packages) {
  console.log(`Installing ${packages.join(', ')} …`);
  const options = ['-o', 'DPkg::Lock::Timeout=300'];
  spawnSync('apt-get', [...options, 'update'], { stdio: 'ignore' });
  const { status } = spawnSync(
    'apt-get',
    [...options, 'install', '-y', '--no-install-recommends', ...packages],
    {
      stdio: ['ignore', 'ignore', 'inherit'],
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    },
  );
  return status === 0;
}

function need(commands, packages, why) {
  if (commands.every(has)) return;
  if (isRoot() && has('apt-get') && aptInstall(packages) && commands.every(has)) return;
  console.error(
    `${why} needs ${commands.join(', ')}. Install ${packages.join(' ')}, then run this again.`,
  );
  process.exit(1);
}

/** Installs the packages of the lock file, unless they are in place already. */
export function ensureInstalled() {
  const lock = createHash('sha256')
    .update(readFileSync(path.join(ROOT, 'package-lock.json')))
    .digest('hex');
  if (existsSync(STAMP) && readFileSync(STAMP, 'utf8') === lock) return;
  need(['python3', 'make', 'g++'], ['python3', 'make', 'g++'], 'Building SQLite');
  console.log('Installing packages; SQLite is built from source, which takes about two minutes …');
  // Without optimising for speed the build takes half as long; SQLite is quick enough.
  run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], {
    CFLAGS: '-O1 -w',
    CXXFLAGS: '-w',
    JOBS: 'max',
  });
  writeFileSync(STAMP, lock);
}

/** Makes sure of Debian's Chromium, which the interface tests drive. */
export function ensureChromium() {
  need(['chromium'], ['chromium'], 'Testing the pages');
}

/** Starts a long-running child; it ends with this script, however this script ends. */
export function startChild(command, args, env = {}) {
  const child = spawn(command, args, {
    cwd: ROOT,
    stdio: 'inherit',
    env: { ...process.env, ...env },
  });
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'])
    process.on(signal, () => child.kill(signal));
  child.on('exit', (code) => process.exit(code ?? 0));
  return child;
}

export const bin = (name) => path.join(ROOT, 'node_modules', '.bin', name);

/** Short name of the shapes that documents have: another one as soon as the core's source is another. */
function shapeName() {
  const hash = createHash('sha256');
  const root = path.join(ROOT, 'core/src');
  for (const file of readdirSync(root, { recursive: true }).sort())
    if (file.endsWith('.ts')) hash.update(file).update(readFileSync(path.join(root, file)));
  return hash.digest('hex').slice(0, 12);
}

/** Bundles the server and builds the pages. */
export function build() {
  run(bin('vite'), ['build', 'web', '--logLevel', 'warn'], { VITE_RATIO_SHAPE: shapeName() });
  bundleServer();
}

/** Bundles the server and the demo's seed; packages stay outside, the core's source goes in. */
export function bundleServer() {
  run(bin('esbuild'), [
    'main=server/src/main.ts',
    'seed=demo/seed.ts',
    '--bundle',
    '--platform=node',
    '--format=esm',
    '--target=node20',
    '--packages=external',
    '--alias:@ratio/core=./core/src',
    '--sourcemap',
    '--outdir=server/dist',
    '--log-level=warning',
  ]);
}
