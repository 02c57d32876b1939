import { build, ensureInstalled, run, startChild } from './tools.mjs';

ensureInstalled();
build();
const env = {
  RATIO_DATA: process.env.RATIO_DATA ?? '.demo',
  RATIO_PORT: process.env.RATIO_PORT ?? '4870',
  RATIO_HOST: process.env.RATIO_HOST ?? '127.0.0.1',
  RATIO_LOG: process.env.RATIO_LOG ?? 'warn',
};
run(process.execPath, ['server/dist/seed.js'], env);
console.log(
  `\nThe lido café opens at http://${env.RATIO_HOST}:${env.RATIO_PORT}\nCtrl-C stops it; its data stay in ${env.RATIO_DATA}.\n`,
);
startChild(process.execPath, ['--enable-source-maps', 'server/dist/main.js'], env);
