import { expect, test } from './lido.ts';

test('a brewer plans a batch, starts it, strains it and pours a drink; a killed server loses nothing', async ({
  page,
  lido,
}) => {
  await page.goto(`${lido.url}/plan`);
  const outcome = page.getByRole('region', { name: 'What comes out' });
  await expect(outcome).toContainText('concentrate');

  // Any change is followed at once, and the amount set before the last one yields.
  await page.getByRole('textbox', { name: 'Water in' }).fill('5 kg');
  await expect(page.getByRole('textbox', { name: 'Coffee in' })).toHaveValue(/1000\sg/);
  await page.getByRole('textbox', { name: 'Coffee in' }).fill('2 lb');
  await page.getByRole('textbox', { name: 'Coffee in' }).blur();
  await expect(page.getByRole('textbox', { name: 'Coffee in' })).toHaveValue(/907\sg/);
  await expect(page.getByRole('textbox', { name: 'Ratio' })).toHaveValue(/1 : 5\.5/);

  // A wrong entry keeps the text, says why, and changes nothing else.
  const strength = page.getByRole('textbox', { name: 'Strength wanted' });
  const before = await strength.inputValue();
  await page.getByRole('textbox', { name: 'Coffee in' }).fill('two shovels');
  await expect(page.getByRole('alert').filter({ hasText: 'not a unit' })).toBeVisible();
  expect(await strength.inputValue()).toBe(before);
  await page.getByRole('textbox', { name: 'Coffee in' }).press('Escape');
  await expect(page.getByRole('textbox', { name: 'Coffee in' })).toHaveValue(/907\sg/);

  // The end of the steep is a handle.
  const end = page.getByRole('slider', { name: 'End of the steep' });
  await end.focus();
  await end.press('ArrowRight');
  await end.press('ArrowRight');
  await expect(page.getByRole('textbox', { name: 'Hours of steep' })).toHaveValue(/18\.5\sh/);

  await page.reload();
  await expect(page.getByRole('textbox', { name: 'Coffee in' })).toHaveValue(/907\sg/);
  await page.getByRole('button', { name: 'Start this steep' }).click();
  await expect(page).toHaveURL(/\/steep$/);
  await expect(page.getByRole('status').filter({ hasText: 'Steeping: Lot 14' })).toBeVisible();
  await expect(page.getByRole('link', { name: /^Steep/ })).toContainText('3 steeping');

  await lido.kill();
  await lido.start();
  await page.reload();
  await expect(page.getByRole('link', { name: /^Steep/ })).toContainText('3 steeping');

  const first = page.getByRole('listitem').filter({ hasText: 'Sat 08:10' });
  await first.getByRole('textbox', { name: 'Came out' }).fill('2 kg');
  await first.getByRole('textbox', { name: 'Refractometer reading' }).fill('3.4 %');
  await first.getByRole('button', { name: /^Strain 1\.9/ }).click();
  await expect(page).toHaveURL(/\/jugs$/);
  const jug = page.getByRole('listitem').filter({ hasText: '3.40 %' });
  await expect(jug).toContainText('1.97');
  await jug.getByRole('button', { name: 'Pour from it' }).click();

  await page.getByRole('button', { name: /Oat breakwater/ }).click();
  const drink = page.getByRole('region', { name: 'This drink' });
  await expect(drink).toContainText('1.30');
  await expect(drink.getByRole('listitem').filter({ hasText: 'Concentrate' })).toContainText('mL');
  await drink.getByRole('button', { name: 'Pour this one' }).click();
  const notice = page.getByRole('status').filter({ hasText: 'Oat breakwater' });
  await expect(notice).toBeVisible();
  await notice.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'Undone' })).toBeVisible();
});

test('a drink out of reach says why and what would do', async ({ page, lido }) => {
  await page.goto(`${lido.url}/pour`);
  await expect(page.getByRole('link', { name: /^Pour/ })).toContainText('1 out of reach');
  await page.getByRole('button', { name: /Deep end/ }).click();
  const drink = page.getByRole('region', { name: 'This drink' });
  await expect(drink).toContainText(/Even filled up with concentrate this glass reaches 3\.\d\d %/);
  await expect(drink).toContainText(/It takes a concentrate of 3\.\d\d %/);
  // Weaker until it can be met.
  await drink.getByRole('textbox', { name: 'Target strength' }).fill('2');
  await expect(drink).not.toContainText('Even filled up');
});

test('a second tablet sees what the first one poured', async ({ page, lido, context }) => {
  await page.goto(`${lido.url}/pour`);
  const second = await context.newPage();
  await second.goto(`${lido.url}/jugs`);
  await expect(second.getByRole('listitem').first()).toContainText('948');
  await page.getByRole('button', { name: 'Pour this one' }).click();
  await expect(second.getByRole('listitem').first()).not.toContainText('948');
});

test('a dropped connection loses nothing and says so', async ({ page, lido, context }) => {
  await page.goto(`${lido.url}/plan`);
  await expect(page.getByRole('button', { name: 'Start this steep' })).toBeVisible();
  await context.setOffline(true);
  await page.getByRole('button', { name: 'Start this steep' }).click();
  const strip = page.getByRole('status', { name: 'The server' });
  await expect(strip).toContainText('One change is kept on this tablet until it is back: Lot 14');
  await context.setOffline(false);
  await expect(page.getByRole('link', { name: /^Steep/ })).toContainText('3 steeping');
});
