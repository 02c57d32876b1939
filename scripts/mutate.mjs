import { bin, ensureInstalled, run } from './tools.mjs';

ensureInstalled();
run(bin('stryker'), ['run', 'scripts/stryker.config.mjs']);
