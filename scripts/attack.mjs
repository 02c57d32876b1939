// The attacks of the tests at length: 10,000 requests made from the API's own description, and 100 starts
// that are killed, of an empty folder and of an earlier version's database.
import { bin, ensureInstalled, run } from './tools.mjs';

ensureInstalled();
const own = ['server/test/fuzz/fuzz.test.ts', 'server/test/database/starts.test.ts'];
run(bin('mocha'), ['--config', 'scripts/attack.mocharc.json', ...own], {
  RATIO_FUZZ: process.env.RATIO_FUZZ ?? '10000',
  RATIO_KILLS: process.env.RATIO_KILLS ?? '100',
});
