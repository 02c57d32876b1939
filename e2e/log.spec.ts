import { readFile } from 'node:fs/promises';
import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { expect, lookingTest, test } from './lido.ts';

lookingTest(
  'the log is found by words, coffee and order, and a line opens its batch',
  async ({ page, lido }) => {
    await page.goto(`${lido.url}/log`);
    await expect(page.getByText(/^1\d\d batches/)).toBeVisible();
    await page.getByRole('textbox', { name: 'Words to find' }).fill('17 early');
    await expect(page.getByText(/^2\d batches/)).toBeVisible();
    await expect(page).toHaveURL(/text=17\+early|text=17%20early/);
    await page.reload();
    await expect(page.getByText(/^2\d batches/)).toBeVisible();
    await page
      .getByRole('link', { name: /Jun \d\d:\d\d$/ })
      .first()
      .click();
    await expect(page).toHaveURL(/\/log\/batch\/season-\d+$/);
    await expect(page.getByRole('region', { name: 'What happened' })).toContainText('strained');
    await expect(page.getByRole('heading', { level: 1 })).toContainText('Lot 17');
  },
);

test('two batches are compared, and the good one becomes a plan', async ({ page, lido }) => {
  await page.goto(`${lido.url}/log?text=14`);
  await page.getByRole('button', { name: 'Compare two' }).click();
  for (const i of [1, 5])
    await page
      .getByRole('checkbox', { name: /^Compare/ })
      .nth(i)
      .click({ force: true });
  await page.getByRole('button', { name: 'Compare these two' }).click();
  const why = page.getByRole('region', { name: 'What makes the difference in strength' });
  await expect(why).toContainText('left unexplained');
  await expect(why).toContainText(/found [+−]\d+\.\d %/);
  await expect(page.getByRole('row', { name: /^Ratio/ })).toBeVisible();
  await page
    .getByRole('button', { name: /^Plan one like/ })
    .first()
    .click();
  await expect(page).toHaveURL(/\/plan$/);
  await expect(page.getByText(/A plan like Lot 14/)).toBeVisible();
});

test('learned from the season, accepted, a batch says by which, and taken back', async ({
  page,
  lido,
}) => {
  test.setTimeout(90_000);
  await page.goto(`${lido.url}/log/learning`);
  await expect(page.getByText(/^The range held \d+ of \d+/)).toBeVisible({ timeout: 30_000 });
  // The season's bad bag and the week of the wrong mill are named, not dropped.
  await expect(page.getByText(/Lot 17, washed.*May/).first()).toBeVisible();
  await expect(page.getByText(/^Measure next:/)).toBeVisible();
  for (const [as, begins] of [
    ['SVG', '<svg'],
    ['PNG', '\u0089PNG'],
  ] as const) {
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: `How far off, by day as ${as}` }).click(),
    ]);
    expect(file.suggestedFilename()).toBe(`by-day.${as.toLowerCase()}`);
    const content = await readFile(await file.path(), 'latin1');
    expect(content.startsWith(begins)).toBe(true);
    expect(content.length).toBeGreaterThan(10_000);
  }
  await page.getByRole('button', { name: 'Predict by this from now on' }).click();
  await expect(page.getByText(/Version 1 is in use, from 1\d\d batches/)).toBeVisible();
  const { plan } = await (await page.request.get(`${lido.url}/api/batches/lido-batch-4`)).json();
  const begun = await page.request.post(`${lido.url}/api/batches`, {
    data: { id: 'learned', plan: { ...plan, vesselId: 'other-tall-jar' } },
  });
  expect((await begun.json()).model.learned.version).toBe(1);
  await page.getByRole('button', { name: 'Back to the handbook' }).click();
  await expect(page.getByText(/The handbook’s values are in use/)).toBeVisible();
});

test('a blind triangle with twelve answers on one tablet', async ({ page, lido }) => {
  test.setTimeout(120_000);
  await page.setViewportSize({ width: 768, height: 1024 });
  await page.goto(`${lido.url}/log/tasting`);
  await page.getByRole('button', { name: 'Begin' }).click();
  for (let i = 1; i <= 12; i++) {
    await expect(page.getByText(`Answer ${i} of 12`)).toBeVisible();
    const cups = await page.locator('.pour li').allTextContents();
    const names = cups.map((text) => text.replace(/^\s*\d+\s*/, '').trim());
    const odd = names.findIndex((name) => names.filter((one) => one === name).length === 1);
    await page.getByRole('button', { name: 'Poured, for the taster' }).click();
    await expect(page.getByText('Which one is the odd one?')).toBeVisible();
    // Whoever tastes sees codes and no names.
    await expect(page.getByText(names[0]!)).toHaveCount(0);
    await page
      .locator('.code')
      .nth(i <= 9 ? odd : (odd + 1) % 3)
      .click();
  }
  await expect(page.getByText(/There is a difference: 9 of 12 are right/)).toBeVisible();
  await page.reload();
  await expect(page.getByText(/12 of 12 answered/)).toBeVisible();
});

test('an old log comes in from a spreadsheet, with three bad rows left out', async ({
  page,
  lido,
}) => {
  const rows = Array.from({ length: 20 }, (_, i) => {
    const dose = i === 3 ? 'some' : '800';
    const date = i === 7 ? 'long ago' : `${i + 1}.3.2025`;
    return `${date},Lot 2,${dose},${i === 11 ? '' : '4000'},18,3.4 %,book ${i}`;
  });
  const file = path.join(lido.dataDir, 'old.csv');
  writeFileSync(file, `Date,Coffee,Dose g,Water g,Hours,TDS,Notes\n${rows.join('\n')}\n`);
  await page.goto(`${lido.url}/log/import`);
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Choose a file' }).click();
  await (await chooser).setFiles(file);
  await expect(page.getByText('3 rows cannot be read.')).toBeVisible();
  await expect(page.getByText('Row 5, coffee in:')).toBeVisible();
  await expect(page.getByText('Row 9, when it began:')).toBeVisible();
  await expect(page.getByText('Row 13, water in: It is empty.')).toBeVisible();
  await page.getByRole('button', { name: 'Take 17 batches in, leave 3 out' }).click();
  await expect(page.getByText('17 batches are in the log.')).toBeVisible();
  await page.goto(`${lido.url}/log?text=book`);
  await expect(page.getByText('17 batches')).toBeVisible();
});
