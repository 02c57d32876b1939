import { expect, test } from './lido.ts';

test('the ingredients: the first ones, all of them when asked, sorted by a tap on a heading', async ({
  page,
  lido,
}) => {
  await page.goto(`${lido.url}/shelf/ingredients`);
  const table = page.getByRole('group', { name: 'Ingredients, 100 g of each' });
  const names = table.locator('tbody tr td:first-child');
  await expect(names).toHaveCount(20);
  const nameOf = (i: number): Promise<string> => names.nth(i).innerText();
  expect(await nameOf(0)).toContain('Coconut drink');

  // Sorted among all of them: the fattest ones were not among the first twenty.
  const fat = table.getByRole('columnheader', { name: 'Fat, g' });
  await fat.click();
  await fat.click();
  await expect(names.first()).toContainText('Almond butter');
  await expect(names).toHaveCount(20);
  const others = page.getByRole('button', { name: /^Show the other \d+$/ });
  const more = Number(/\d+/.exec(await others.innerText())![0]);
  await others.click();
  await expect(names).toHaveCount(20 + more);
  await expect(others).toHaveCount(0);

  // A row follows what is done to it, wherever it stands.
  const keeps = page.getByRole('textbox', { name: 'Whole milk: days once opened' });
  await keeps.fill('6');
  await keeps.blur();
  await page.reload();
  await expect(keeps).toHaveValue('6');
  await page.getByRole('textbox', { name: 'Find an ingredient' }).fill('oat');
  await expect(names.first()).toContainText('Oat');
  await page.getByRole('textbox', { name: 'Find an ingredient' }).fill('');
  await expect(names).toHaveCount(20);
});

test('the rows of a table follow the units, and are put back after another sort', async ({
  page,
  lido,
}) => {
  await page.goto(`${lido.url}/jugs/lido-jug-1`);
  const table = page.getByRole('group', { name: 'Ledger' });
  const amounts = table.locator('tbody td:nth-child(3)');
  const texts = async (): Promise<readonly string[]> => amounts.allInnerTexts();
  await expect(amounts.first()).toContainText(/\d\sg$/);
  const metric = await texts();
  await table.getByRole('columnheader', { name: 'Amount' }).click();
  await expect.poll(texts).not.toEqual(metric);
  await expect.poll(async () => (await texts()).toSorted()).toEqual(metric.toSorted());
  await page.getByRole('button', { name: /^Units: metric/ }).click();
  await expect(amounts.first()).toContainText(/oz|lb/);
  for (const text of await texts()) expect(text).not.toMatch(/\d\sg$/);
});

test('a hint opens by pointer and by key, and closes when it is left', async ({ page, lido }) => {
  await page.goto(`${lido.url}/shelf/ingredients`);
  const table = page.getByRole('group', { name: 'Ingredients, 100 g of each' });
  const until = table.getByText('to Mon 15 Jun').first();
  const hint = page.getByRole('tooltip').filter({ hasText: /^since / });
  await until.hover();
  await expect(hint).toBeVisible();
  await page.mouse.move(0, 0);
  await expect(hint).toBeHidden();
  await until.focus();
  await expect(hint).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(hint).toBeHidden();
});
