// Everything that must hold, in the order of how soon it says so. The last line counts the tests of all runners.
import { spawnSync } from 'node:child_process';
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { bin, build, ensureChromium, ensureInstalled, ROOT } from './tools.mjs';

const CHECKS = [
  ['format', bin('prettier'), ['--check', '--log-level', 'warn', '.']],
  ['lint', bin('eslint'), ['--max-warnings', '0', '.']],
  ['types of the core', bin('tsc'), ['-p', 'core']],
  ['types of the core’s tests', bin('tsc'), ['-p', 'core/test']],
  ['types of the server', bin('tsc'), ['-p', 'server']],
  ['types of the pages', bin('vue-tsc'), ['-p', 'web']],
  ['types of the journeys', bin('tsc'), ['-p', 'e2e']],
  [
    'import rules',
    bin('depcruise'),
    ['core', 'server', 'web', 'demo', '--config', '.dependency-cruiser.cjs'],
  ],
];

const results = path.join(ROOT, 'test-results');
let passed = 0;
let failed = 0;

function runAll(command, args) {
  const { status } = spawnSync(command, args, { cwd: ROOT, stdio: 'inherit' });
  return status === 0;
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
for (const [name, command, args] of CHECKS) {
  console.log(`— ${name}`);
  // A check that fails is one failure; the tests still run, so that one slip hides nothing else.
  if (!runAll(command, args)) failed += 1;
}
if (process.argv.includes('--checks')) finish();

console.log('— units');
const units = runAll(bin('mocha'), ['--reporter', 'scripts/mochaReporter.cjs']);
const mocha = report('mocha.json');
passed += mocha?.passed ?? 0;
failed += mocha?.failed ?? 1;
if (!units && mocha?.failed === 0) failed += 1;

console.log('— journeys');
ensureChromium();
build();
const journeys = runAll(bin('playwright'), ['test', '-c', 'e2e/playwright.config.ts']);
const playwright = report('playwright.json')?.stats;
passed += (playwright?.expected ?? 0) + (playwright?.flaky ?? 0);
failed += playwright?.unexpected ?? 1;
if (!journeys && playwright?.unexpected === 0) failed += 1;
finish();
