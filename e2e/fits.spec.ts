import type { Page } from '@playwright/test';
import { expect, freshTest, lookingTest, stands, test } from './lido.ts';
import { misfits } from './misfits.ts';
import { SIZES } from './pages.ts';

// Fingers need larger buttons than a mouse: what fits them fits both.
lookingTest.use({ hasTouch: true });

/** What does not fit of a page that stands, by size. */
async function misfitsBySize(page: Page): Promise<string[]> {
  const wrong: string[] = [];
  for (const size of SIZES) {
    await page.setViewportSize(size);
    await stands(page);
    for (const one of await misfits(page)) wrong.push(`${size.width} px: ${one}`);
  }
  return wrong;
}

freshTest('a plan in any vessel: every text stands clear', async ({ page, lido }) => {
  await page.goto(`${lido.url}/plan`);
  await expect(page.getByText('Any vessel, before')).toBeVisible();
  expect(await misfitsBySize(page)).toEqual([]);
});

lookingTest(
  'a plan in each vessel, full or too full: every text stands clear',
  async ({ page, lido }) => {
    await page.goto(`${lido.url}/plan`);
    for (const name of [
      'Small jar 1 L',
      'Pitcher 2 L',
      'Wide jar 3 L',
      'Other tall jar 6 L',
      'Bag bucket 12 L',
    ]) {
      await page.getByRole('combobox', { name: 'Vessel', exact: true }).press('Enter');
      await page.getByRole('option', { name }).first().click();
      await expect(page.getByText(`${name}, before`)).toBeVisible();
      expect(await misfitsBySize(page), name).toEqual([]);
    }
  },
);

lookingTest(
  'a step at the bench, in both systems: every text stands clear',
  async ({ page, lido }) => {
    for (const units of ['metric', 'us']) {
      await page.goto(`${lido.url}/steep`);
      if (units === 'us') await page.getByRole('button', { name: /^Units: metric/ }).click();
      for (const batch of ['lido-batch-4', 'lido-batch-5']) {
        await page.goto(`${lido.url}/steep/${batch}`);
        await expect(page.getByRole('img', { name: 'Strength by the clock' })).toBeVisible();
        expect(await misfitsBySize(page), `${batch}, ${units}`).toEqual([]);
      }
    }
  },
);

test('a drink with a name as long as one may be: every text stands clear', async ({
  page,
  lido,
}) => {
  const answer = await page.request.get(`${lido.url}/api/drinks`);
  const [{ id, version, ...drink }] = (await answer.json()) as [{ id: string; version: number }];
  const name = 'Doublestrengthpomegranatelemonade with a float of cold brew';
  await page.request.post(`${lido.url}/api/drinks/${id}/versions`, {
    data: { id: 'long-name', drink: { ...drink, name }, change: 'name', forWhom: '' },
    headers: { 'If-Match': `"${version}"` },
  });
  for (const path of ['pour', 'pour/menu']) {
    await page.goto(`${lido.url}/${path}`);
    await expect(page.getByText(name).first()).toBeAttached();
    expect(await misfitsBySize(page), path).toEqual([]);
  }
});
