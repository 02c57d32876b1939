import { bin, build, ensureChromium, ensureInstalled, run } from './tools.mjs';

ensureInstalled();
ensureChromium();
build();
run(bin('playwright'), ['test', '-c', 'e2e/shots.config.ts']);
