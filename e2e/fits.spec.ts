import { expect, lookingTest, stands } from './lido.ts';
import { misfits } from './misfits.ts';
import { PAGES, SIZES } from './pages.ts';

// Fingers need larger buttons than a mouse: what fits them fits both.
lookingTest.use({ hasTouch: true });

for (const name of PAGES)
  lookingTest(
    `${name}: every text stands clear, at every size, in both systems`,
    async ({ page, lido }) => {
      const wrong: string[] = [];
      for (const units of ['metric', 'us'])
        for (const size of SIZES) {
          await page.setViewportSize(size);
          await page.goto(`${lido.url}/${name}`);
          await expect(page.locator('main h1').first()).toBeAttached();
          if (units === 'us') await page.getByRole('button', { name: /^Units: metric/ }).click();
          await expect(page.getByRole('link', { name: /^Jugs/ })).toContainText('3 jugs');
          await stands(page);
          await page.evaluate(() => document.fonts.ready);
          for (const one of await misfits(page)) wrong.push(`${size.width} px, ${units}: ${one}`);
          if (units === 'us') await page.getByRole('button', { name: /^Units: us/ }).click();
        }
      expect(wrong).toEqual([]);
    },
  );
