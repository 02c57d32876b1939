import { existsSync } from 'node:fs';
import path from 'node:path';
import { ROOT, startChild } from './tools.mjs';

if (!existsSync(path.join(ROOT, 'server/dist/main.js'))) {
  console.error('Nothing is built yet. Run npm run build first.');
  process.exit(1);
}
startChild(process.execPath, ['--enable-source-maps', 'server/dist/main.js']);
