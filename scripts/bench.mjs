import { bin, ensureInstalled, run } from './tools.mjs';

ensureInstalled();
// Bundled as it is shipped: a loader's helpers would be measured along.
run(bin('esbuild'), [
  'core/bench/main.ts',
  '--bundle',
  '--platform=node',
  '--format=esm',
  '--alias:@ratio/core=./core/src',
  '--outfile=core/bench/dist/bench.mjs',
  '--log-level=warning',
]);
run(process.execPath, ['core/bench/dist/bench.mjs']);
