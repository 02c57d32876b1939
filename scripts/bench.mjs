import { printPageBytes } from './pageBytes.mjs';
import { bin, build, ensureChromium, ensureInstalled, run } from './tools.mjs';

ensureInstalled();
// Bundled as it is shipped: a loader's helpers would be measured along.
for (const [room, more] of [
  ['core', []],
  ['server', ['--packages=external']],
]) {
  const file = `${room}/bench/dist/bench.mjs`;
  run(bin('esbuild'), [
    `${room}/bench/main.ts`,
    '--bundle',
    '--platform=node',
    '--format=esm',
    '--alias:@ratio/core=./core/src',
    `--outfile=${file}`,
    '--log-level=warning',
    ...more,
  ]);
  run(process.execPath, ['--expose-gc', file]);
}
build();
printPageBytes();
ensureChromium();
run(bin('playwright'), ['test', '-c', 'e2e/frames.config.ts']);
