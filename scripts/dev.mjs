import { bin, bundleServer, ensureInstalled, run, startChild } from './tools.mjs';

ensureInstalled();
bundleServer();
const env = {
  RATIO_DATA: process.env.RATIO_DATA ?? '.demo',
  RATIO_LOG: process.env.RATIO_LOG ?? 'info',
};
run(process.execPath, ['server/dist/seed.js'], env);
startChild(bin('tsx'), ['watch', '--clear-screen=false', 'server/src/main.ts'], env);
startChild(bin('vite'), ['web', '--clearScreen', 'false']);
