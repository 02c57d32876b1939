// `npm run backup [-- FILE]` and `npm run restore -- FILE`.
import { ensureInstalled, run } from './tools.mjs';

ensureInstalled();
run(process.execPath, [
  '--import',
  'tsx',
  '--no-experimental-require-module',
  'server/src/backups/command.ts',
  ...process.argv.slice(2),
]);
