// Everything that must hold: the units, then the checks, then the journeys. The last line counts the tests of all runners.
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync, statfsSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import path from 'node:path';
import { bin, build, ensureChromium, ensureInstalled, ROOT } from './tools.mjs';

const UNITS = [
  'units, and what of the code they reach',
  bin('c8'),
  [
    bin('mocha'),
    ...['--reporter', 'scripts/mochaReporter.cjs'],
    ...['--parallel', '--jobs', String(availableParallelism())],
  ],
];
const CHECKS = [
  ['types of the pages', bin('vue-tsc'), ['-p', 'web']],
  ['format', bin('prettier'), ['--check', '--log-level', 'warn', '.']],
  ['lint', bin('eslint'), ['--max-warnings', '0', '.']],
  ['types of the server', bin('tsc'), ['-p', 'server']],
  ['types of the core’s tests', bin('tsc'), ['-p', 'core/test']],
  ['types of the core', bin('tsc'), ['-p', 'core']],
  ['types of the journeys', bin('tsc'), ['-p', 'e2e']],
  ['import rules', bin('depcruise'), ['core', 'server', 'web', 'demo', 'e2e']],
  ['nothing unused', bin('knip'), ['--no-progress']],
];

// Hundreds of small databases: where there is a disk in memory, they need not wait for the other one.
if (!process.env.TMPDIR && existsSync('/dev/shm')) {
  const { bavail, bsize } = statfsSync('/dev/shm');
  if (bavail * bsize > 2e9) process.env.TMPDIR = '/dev/shm';
}

const results = path.join(ROOT, 'test-results');
let passed = 0;
let failed = 0;

/** Runs a command and shows what it said in one piece, once it is done. */
function runAside([name, command, args]) {
  return new Promise((resolve) => {
    const child = spawn(command, args, { cwd: ROOT });
    let said = '';
    for (const stream of [child.stdout, child.stderr])
      stream.setEncoding('utf8').on('data', (text) => (said += text));
    child.on('close', (status) => {
      console.log(`— ${name}${status === 0 ? '' : ': failed'}\n${said}`.trimEnd());
      resolve(status === 0);
    });
  });
}

/** Runs commands, as many at a time as there are processors. */
async function runTogether(commands) {
  const waiting = [...commands];
  const worker = async () => {
    // A check that fails is one failure; the others still run, so that one slip hides nothing else.
    for (let next = waiting.shift(); next; next = waiting.shift())
      if (!(await runAside(next))) failed += 1;
  };
  await Promise.all(Array.from({ length: availableParallelism() }, worker));
}

function report(name) {
  try {
    return JSON.parse(readFileSync(path.join(results, name), 'utf8'));
  } catch {
    return null;
  }
}

function finish() {
  console.log(`\n${passed} passed, ${failed} failed`);
  process.exit(failed === 0 ? 0 : 1);
}

ensureInstalled();
rmSync(results, { recursive: true, force: true });
mkdirSync(results, { recursive: true });
if (process.argv.includes('--checks')) {
  await runTogether(CHECKS);
  finish();
}

// The units take all processors: beside something else some would wait longer than they may.
await runTogether([UNITS]);
await runTogether(CHECKS);
const mocha = report('mocha.json');
passed += mocha?.passed ?? 0;
// That the runner failed is counted already; each test beyond the first counts too.
failed += Math.max(0, (mocha?.failed ?? 1) - 1);

console.log('— journeys');
ensureChromium();
build();
const journeys = spawnSync(bin('playwright'), ['test', '-c', 'e2e/playwright.config.ts'], {
  cwd: ROOT,
  stdio: 'inherit',
});
const playwright = report('playwright.json')?.stats;
passed += (playwright?.expected ?? 0) + (playwright?.flaky ?? 0);
failed += playwright?.unexpected ?? 1;
if (journeys.status !== 0 && playwright?.unexpected === 0) failed += 1;
finish();
