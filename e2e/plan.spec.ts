import { expect, test } from './lido.ts';

test('a recipe in words becomes a plan and then a steep', async ({ page, lido }) => {
  await page.goto(`${lido.url}/plan`);
  await page.getByRole('link', { name: 'Read a recipe in' }).click();
  const first = page.getByRole('article', { name: 'Recipe A' });
  await first.getByRole('textbox').fill('200 g coffee, 16 h');
  await expect(first.getByRole('alert')).toContainText('The water is missing');
  await first
    .getByRole('textbox')
    .fill('concentrate: 5 cups coarse coffee, 2 litres, eight cups of water, 16 h in the fridge');
  await expect(first).toContainText('“2 litres” and “eight cups” are not the same');
  await expect(first).toContainText('1:5.');
  await first.getByRole('button', { name: 'Make it the plan' }).click();
  await expect(page).toHaveURL(/\/plan$/);
  await expect(page.getByRole('textbox', { name: 'Coffee in' })).toHaveValue(/379\sg/);
  await expect(page.getByRole('form', { name: 'Choices' })).toContainText('scooped');
  await expect(page.getByRole('region', { name: 'What comes out' })).toContainText(
    'Weigh the coffee, and',
  );
  await page.getByRole('button', { name: 'Start this steep' }).click();
  await expect(page.getByRole('link', { name: /^Steep/ })).toContainText('3 steeping');
});

test('a batch is solved from the brew and the strength that are wanted', async ({ page, lido }) => {
  await page.goto(`${lido.url}/plan`);
  await page.getByRole('textbox', { name: 'Brew wanted' }).fill('3 L');
  await page.getByRole('textbox', { name: 'Strength wanted' }).fill('3.2');
  await page.getByRole('textbox', { name: 'Strength wanted' }).blur();
  await expect(page.getByRole('textbox', { name: 'Brew wanted' })).toHaveValue(/3\.00\sL/);
  await expect(page.getByRole('textbox', { name: 'Strength wanted' })).toHaveValue(/3\.20\s%/);
  await expect(page.getByRole('button', { name: 'Lock the coffee' })).toHaveText('Calculated');
});

test('a contradiction says which two and by how much, and is mended by freeing one', async ({
  page,
  lido,
}) => {
  await page.goto(`${lido.url}/plan`);
  await page.getByRole('button', { name: 'Lock the ratio' }).click();
  const strength = page.getByRole('textbox', { name: 'Strength wanted' });
  await strength.fill('5 %');
  const outcome = page.getByRole('region', { name: 'What comes out' });
  await expect(outcome.getByRole('alert')).toContainText(
    /The strength 5.00 % and the ratio 1:5.0 contradict each other/,
  );
  await expect(page.getByRole('textbox', { name: 'Ratio' })).toHaveValue('1 : 5.0');
  await page.getByRole('button', { name: 'Lock the ratio' }).click();
  await strength.fill('4.9 %');
  await expect(outcome.getByRole('alert')).toHaveCount(0);
  await expect(page.getByRole('textbox', { name: 'Ratio' })).toHaveValue(/1 : 3\.\d/);
});

test('ready by a time works backwards, and a strain when nobody is in offers ways out', async ({
  page,
  lido,
}) => {
  await page.goto(`${lido.url}/plan`);
  const clock = page.getByRole('region', { name: 'On the clock' });
  await clock.getByLabel('Ready by').fill('tomorrow 10:00');
  await expect(clock.getByLabel('Start')).toHaveValue('Sat 15:20');
  await expect(clock).toContainText('strain Sun 09:20');
  await expect(clock).not.toContainText('nobody in');
  await clock.getByLabel('Ready by').fill('tomorrow 3 am');
  await expect(clock).toContainText('strain Sun 02:20, nobody in');
  await page.getByRole('button', { name: /^start Sat 12:05/ }).click();
  await expect(clock).not.toContainText('nobody in');
});

test('up to three variants are compared on the same axes', async ({ page, lido }) => {
  await page.goto(`${lido.url}/plan`);
  await page.getByRole('button', { name: 'Keep to compare' }).click();
  await page.getByRole('textbox', { name: 'Ratio' }).fill('1:8');
  const table = page.getByRole('group', { name: 'Compared' });
  await expect(table.getByRole('row', { name: /^Ratio/ })).toContainText(/1:8\.0.*1:5\.0/);
  await page.getByRole('button', { name: 'Take A as the draft' }).click();
  await expect(page.getByRole('textbox', { name: 'Ratio' })).toHaveValue('1 : 5.0');
});

test('every figure says why', async ({ page, lido }) => {
  await page.goto(`${lido.url}/plan`);
  const outcome = page.getByRole('region', { name: 'What comes out' });
  await outcome.getByRole('button', { name: 'Why' }).nth(1).click();
  const dialog = page.getByRole('dialog', { name: 'Strength' });
  await expect(dialog).toContainText('c = E·D/(W + E·D)');
  await expect(dialog).toContainText('of 5000 draws');
  // From number to number, and back the same way.
  await dialog.getByRole('button', { name: 'extraction' }).click();
  const next = page.getByRole('dialog', { name: 'Extraction' });
  await expect(next).toContainText('E = S · R/(R + 0.5)');
  await next.getByRole('button', { name: 'Back to strength' }).click();
  await expect(dialog).toContainText('c = E·D/(W + E·D)');
  await expect(dialog.getByRole('button', { name: /^Back/ })).toHaveCount(0);
  await page.keyboard.press('Escape');
  await expect(dialog).toBeHidden();
});

test('a why stands beside its number, and a tap outside closes it', async ({ page, lido }) => {
  await page.goto(`${lido.url}/plan`);
  const outcome = page.getByRole('region', { name: 'What comes out' });
  const why = outcome.getByRole('button', { name: 'Why' }).nth(1);
  await why.focus();
  await page.keyboard.press('Enter');
  const dialog = page.getByRole('dialog', { name: 'Strength' });
  await expect(dialog).toBeFocused();
  const [panel, column] = [(await dialog.boundingBox())!, (await outcome.boundingBox())!];
  expect(panel.x + panel.width).toBeLessThanOrEqual(column.x);
  await page.keyboard.press('Escape');
  await expect(why).toBeFocused();

  // While the one before fades: it does not take this one along.
  await why.click();
  await expect(dialog).toBeVisible();
  await page.waitForTimeout(600);
  await expect(dialog).toBeVisible();
  await page.getByRole('heading', { name: 'Brew, after straining' }).click();
  await expect(dialog).toBeHidden();

  // In units of the shop's own, each value says what it is in them.
  await page.getByRole('button', { name: /^Units/ }).click();
  await why.click();
  await expect(dialog).toContainText('850.0 g, 30.0\u202foz');
  await page.setViewportSize({ width: 390, height: 844 });
  await why.scrollIntoViewIfNeeded();
  await expect(dialog).toBeInViewport({ ratio: 1 });
});

test('two tablets on one draft: both versions are shown, none is lost', async ({
  page,
  lido,
  browser,
}) => {
  await page.goto(`${lido.url}/plan`);
  await page.getByRole('textbox', { name: 'Coffee in' }).fill('800 g');
  await expect
    .poll(async () => (await (await fetch(`${lido.url}/api/drafts`)).json()).length)
    .toBe(1);
  const second = await (await browser.newContext()).newPage();
  await second.goto(`${lido.url}/plan`);
  await expect(second.getByRole('textbox', { name: 'Coffee in' })).toHaveValue(/800\sg/);

  // The first goes off the net and changes on; the second saves meanwhile.
  await page.context().setOffline(true);
  await page.getByRole('textbox', { name: 'Coffee in' }).fill('700 g');
  await second.getByRole('textbox', { name: 'Coffee in' }).fill('600 g');
  await expect
    .poll(async () => (await (await fetch(`${lido.url}/api/drafts`)).json())[0].plan.doseG)
    .toBe(600);
  await page.context().setOffline(false);
  const choice = page.getByRole('alert').filter({ hasText: 'Another tablet changed this draft' });
  await expect(choice).toContainText('700', { timeout: 15_000 });
  await expect(choice).toContainText('600');
  await choice.getByRole('button', { name: 'Keep this one' }).click();
  await expect
    .poll(async () => (await (await fetch(`${lido.url}/api/drafts`)).json())[0].plan.doseG)
    .toBe(700);
  await second.context().close();
});

test('the batch sheet prints on one page, in black', async ({ page, lido }) => {
  await page.goto(`${lido.url}/plan`);
  await expect(page.getByRole('button', { name: 'Print', exact: true })).toBeVisible();
  const pdf = (await page.pdf({ format: 'A4' })).toString('latin1');
  expect(pdf.match(/\/Type\s*\/Page\b/g)).toHaveLength(1);
  await page.emulateMedia({ media: 'print' });
  const sheet = page.locator('.sheet');
  await expect(sheet).toContainText('Lot 14, natural, Other tall jar 6 L');
  await expect(sheet).toContainText('850');
  await expect(page.getByRole('button', { name: 'Start this steep' })).toBeHidden();
});

test('the bench measures in steps, scoops and bags, and scales the whole batch', async ({
  page,
  lido,
}) => {
  await page.goto(`${lido.url}/plan`);
  const coffee = page.getByRole('textbox', { name: 'Coffee in' });
  await coffee.fill('907.3 g');
  await coffee.blur();
  await page.getByRole('button', { name: /^Round to 905/ }).click();
  await expect(coffee).toHaveValue(/905\sg/);
  await page.getByRole('button', { name: /× cotton bag, large/ }).click();
  await expect(coffee).toHaveValue(/1000\sg/);
  await expect(page.getByRole('textbox', { name: 'Ratio' })).toHaveValue('1 : 5.0');
  await page.getByRole('button', { name: /^Doubled/ }).click();
  await expect(page.getByText('Split over 3 of Other tall jar 6 L')).toBeVisible();
  await page.getByRole('button', { name: /^Halved/ }).click();
  await expect(coffee).toHaveValue(/1000\sg/);
});
