import { axeFindings } from './axe.ts';
import { expect, stands, test } from './lido.ts';
import { misfits } from './misfits.ts';
import { SIZES } from './pages.ts';

test('a day is tapped on a calendar of the shop’s own days, and is what would have been typed', async ({
  page,
  lido,
}) => {
  await page.goto(`${lido.url}/shelf`);
  await page.getByRole('button', { name: /^Lot 14, natural/ }).click();
  const day = page.getByRole('textbox', { name: 'Roasted on' });
  await expect(day).toHaveValue('Thu 4 Jun');
  const button = page.getByRole('button', { name: 'Calendar', exact: true });
  await button.click();
  const calendar = page.getByRole('dialog', { name: 'Calendar', exact: true });
  expect(await axeFindings(page)).toEqual([]);
  // The lido's day is marked, whatever day it is for the browser.
  await expect(calendar.locator('td.shops')).toHaveText(['13']);
  // A week begins on a Monday, and nothing was roasted tomorrow.
  await expect(calendar.getByRole('columnheader').first()).toHaveText('Mon');
  await expect(calendar.locator('td.disabled').filter({ hasText: /^14$/ })).toHaveCount(1);
  await calendar.locator('td.available').filter({ hasText: /^2$/ }).click();
  await expect(calendar).toBeHidden();
  await expect(day).toHaveValue('Tue 2 Jun');
  await page.reload();
  await expect(page.getByRole('button', { name: /^Lot 14, natural/ })).toContainText(
    'roasted Tue 2 Jun',
  );
});

test('an hour that is tapped is judged as one that is typed', async ({ page, lido }) => {
  await page.goto(`${lido.url}/steep`);
  await page.getByRole('button', { name: 'Calendar', exact: true }).click();
  const calendar = page.getByRole('dialog', { name: 'Calendar', exact: true });
  await calendar.locator('td.available').filter({ hasText: /^12$/ }).click();
  const strained = page.getByRole('textbox', { name: 'Strained' });
  await expect(strained).toHaveValue('2026-06-12 07:40');
  await expect(strained).toHaveAttribute('aria-invalid', 'true');
  await calendar.locator('td.available').filter({ hasText: /^13$/ }).click();
  await expect(strained).toHaveAttribute('aria-invalid', 'false');
  await page.keyboard.press('Escape');
  await expect(calendar).toBeHidden();
});

test('one thing of the shelf is open at a time, each change can be undone, and plans follow', async ({
  page,
  lido,
}) => {
  await page.goto(`${lido.url}/shelf`);
  const line = (name: string | RegExp) => page.getByRole('button', { name });
  const shown = (name: string) => page.getByRole('textbox', { name }).filter({ visible: true });
  await line(/^Lot 14, natural/).click();
  await shown('Price a kg').fill('40');
  await shown('Price a kg').press('Enter');
  const notice = page.getByRole('status').filter({ hasText: 'Lot 14, natural: price' });
  await expect(line(/^Lot 14, natural/)).toContainText('€40.00 a kg');
  await notice.getByRole('button', { name: 'Undo' }).click();
  await expect(shown('Price a kg')).toHaveValue('31.00');

  await shown('Equilibrium yield').fill('90 %');
  await expect(page.getByRole('alert').filter({ hasText: 'Between 5 and 35 %' })).toBeVisible();
  await shown('Equilibrium yield').press('Escape');

  await page.getByRole('button', { name: 'Add a vessel' }).click();
  await expect(shown('Price a kg')).toHaveCount(0);
  await shown('Name').fill('Crock');
  await shown('Name').press('Enter');
  await expect(line(/^Crock/)).toBeVisible();

  await line(/^Scoop and filters/).click();
  await page.getByRole('button', { name: 'bag', exact: true }).click();
  await expect(page.getByRole('textbox', { name: 'New bag takes' })).toHaveValue(/500\sg/);

  await line(/^What a new plan begins with/).click();
  await page.getByRole('textbox', { name: 'Default ratio' }).fill('1:8');
  await page.getByRole('textbox', { name: 'Default ratio' }).press('Enter');
  await expect(page.getByRole('status').filter({ hasText: 'Default changed' })).toBeVisible();
  await page.getByRole('link', { name: /^Plan/ }).click();
  await page.getByRole('button', { name: 'New plan' }).click();
  await expect(page.getByRole('textbox', { name: 'Ratio' })).toHaveValue('1 : 8.0');
  await page.getByRole('combobox', { name: 'Vessel' }).press('Enter');
  await expect(page.getByRole('option', { name: /Crock/ })).toBeVisible();
});

test('a bag that arrived is on the shelf in three touches, known or new', async ({
  page,
  lido,
}) => {
  await page.goto(`${lido.url}/shelf`);
  await page.getByRole('button', { name: 'A new bag arrived' }).click();
  const bag = page.getByRole('dialog', { name: 'A new bag' });
  await bag.getByRole('textbox', { name: 'Name of the coffee' }).fill('Breakwater, washed');
  await bag.getByRole('radio', { name: 'light' }).click();
  await bag.getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(page.getByRole('button', { name: /^Breakwater, washed/ })).toContainText(
    'light · roast date not known · price not known',
  );

  await page.getByRole('button', { name: 'A new bag arrived' }).click();
  await bag.getByRole('radio', { name: 'Lot 14, natural' }).click();
  await bag.getByRole('textbox', { name: 'Roasted on' }).fill('yesterday');
  await bag.getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(page.getByRole('button', { name: /^Lot 14, natural/ })).toContainText(
    'roasted Fri 12 Jun',
  );
});

test('a shop that reads its clock by twelve hours has all of its times so, at every size', async ({
  page,
  lido,
}) => {
  await page.goto(`${lido.url}/shelf`);
  await page.getByRole('button', { name: /^Rooms and hours/ }).click();
  await page.getByRole('combobox', { name: 'Clock', exact: true }).press('Enter');
  await page.getByRole('option', { name: /^12 h/ }).click();
  await expect(page.getByRole('textbox', { name: 'Opens' })).toHaveValue('8:00\u202fam');
  await expect(page.getByRole('link', { name: /^Steep/ })).toContainText('strain 8:10\u202fam');
  const wrong: string[] = [];
  for (const path of ['bench', 'bench/week', 'plan', 'steep', 'jugs', 'log'])
    for (const size of SIZES) {
      await page.setViewportSize(size);
      await page.goto(`${lido.url}/${path}`);
      await stands(page);
      for (const one of await misfits(page)) wrong.push(`${path}, ${size.width} px: ${one}`);
    }
  expect(wrong).toEqual([]);
});
