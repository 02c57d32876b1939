import { expect, test } from './lido.ts';

test('small jars are made from a plan, started together, scored, and the winner scales back up', async ({
  page,
  lido,
}) => {
  await page.goto(`${lido.url}/plan`);
  await page.getByRole('link', { name: 'Small jars' }).click();
  const set = page.getByRole('region', { name: 'The set', exact: true });
  await expect(set.getByRole('row')).toHaveCount(5);
  await page.getByRole('textbox', { name: 'Ratios' }).fill('1:4, 1:5, 1:6, 1:7, 1:8');
  await expect(page.getByRole('status').filter({ hasText: '10 jars' })).toContainText(
    'between one and 9',
  );
  await page.getByRole('textbox', { name: 'Ratios' }).fill('1:5, 1:7');
  await set.getByRole('button', { name: 'Start them together' }).click();

  const kept = page.getByRole('region', { name: 'Set of Lot 14, natural' });
  const liked = kept.getByRole('slider', { name: 'How jar 2 was liked' });
  await liked.locator('.el-rate__item').nth(4).click();
  await expect(page.getByRole('status').filter({ hasText: 'Jar 2: 5 of 5' })).toBeVisible();
  await page.reload();
  await expect(liked).toHaveAttribute('aria-valuenow', '5');
  await kept.getByRole('button', { name: 'Jar 2: make it the plan' }).click();
  await expect(page.getByRole('textbox', { name: 'Ratio' })).toHaveValue('1 : 7.0');
  await expect(page.getByRole('textbox', { name: 'Coffee in' })).toHaveValue(/850\sg/);
});
