import { expect, test } from './lido.ts';

test('the shelf is edited in place, each change can be undone, and plans follow', async ({
  page,
  lido,
}) => {
  await page.goto(`${lido.url}/shelf`);
  const coffee = page.getByRole('listitem', { name: 'Slack Tide, natural' });
  await coffee.getByRole('textbox', { name: 'Price a kg' }).fill('40');
  await coffee.getByRole('textbox', { name: 'Price a kg' }).press('Enter');
  const notice = page.getByRole('status').filter({ hasText: 'Slack Tide, natural: price' });
  await notice.getByRole('button', { name: 'Undo' }).click();
  await expect(coffee.getByRole('textbox', { name: 'Price a kg' })).toHaveValue('31.00');

  await coffee.getByRole('textbox', { name: 'Equilibrium yield' }).fill('90 %');
  await expect(coffee.getByRole('alert')).toContainText('Between 5 and 35 %');
  await coffee.getByRole('textbox', { name: 'Equilibrium yield' }).press('Escape');

  await page.getByRole('button', { name: 'Add a vessel' }).click();
  const vessel = page.getByRole('listitem', { name: 'New jar' });
  await vessel.getByRole('textbox', { name: 'Name' }).fill('Crock');
  await vessel.getByRole('textbox', { name: 'Name' }).press('Enter');
  await expect(page.getByRole('listitem', { name: 'Crock' })).toBeVisible();

  await page.getByRole('button', { name: 'bag', exact: true }).click();
  await expect(page.getByRole('textbox', { name: 'New bag takes' })).toHaveValue(/500\sg/);

  await page.getByRole('textbox', { name: 'Default ratio' }).fill('1:8');
  await page.getByRole('textbox', { name: 'Default ratio' }).press('Enter');
  await expect(page.getByRole('status').filter({ hasText: 'Default changed' })).toBeVisible();
  await page.getByRole('link', { name: /^Plan/ }).click();
  await page.getByRole('button', { name: 'New plan' }).click();
  await expect(page.getByRole('textbox', { name: 'Ratio' })).toHaveValue('1 : 8.0');
  await page.getByRole('combobox', { name: 'Vessel' }).press('Enter');
  await expect(page.getByRole('option', { name: /Crock/ })).toBeVisible();
});
