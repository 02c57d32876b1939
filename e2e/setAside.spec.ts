import { readFileSync } from 'node:fs';
import { expect, lookingTest } from './lido.ts';

lookingTest(
  'what a tablet kept in a shape of before is set aside, exported and discarded',
  async ({ page, lido }) => {
    await page.addInitScript(() => localStorage.setItem('ratio.plan', '{"held":["ratio"]}'));
    await page.goto(`${lido.url}/steep`);
    const strip = page.getByRole('status', { name: 'Set aside' });
    await expect(strip).toContainText('This tablet kept one thing that it can no longer read.');
    const download = page.waitForEvent('download');
    await strip.getByRole('button', { name: 'Export as a file' }).click();
    const file = await (await download).path();
    expect(JSON.parse(readFileSync(file, 'utf8'))).toEqual([
      { key: 'ratio.plan', text: '{"held":["ratio"]}' },
    ]);
    await strip.getByRole('button', { name: 'Discard' }).click();
    await expect(strip).toBeHidden();
  },
);
