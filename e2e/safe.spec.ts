import { expect, test } from './lido.ts';
import type { Locator, Page } from '@playwright/test';

const strip = (page: Page): Locator => page.getByRole('status', { name: 'The server' });
const jugAmount = async (page: Page, url: string): Promise<number> =>
  ((await (await page.request.get(`${url}/api/jugs/lido-jug-1`)).json()) as { onHandG: number })
    .onHandG;

test.describe('a tablet, which has no secure context', () => {
  test('plans, starts, strains, pours and takes back, and no page logs an error', async ({
    page,
    lido,
  }) => {
    const said: string[] = [];
    page.on('console', (message) => {
      if (message.type() === 'error') said.push(message.text());
    });
    await page.goto(`${lido.tabletUrl}/plan`);
    expect(await page.evaluate(() => isSecureContext)).toBe(false);
    await page.getByRole('button', { name: 'Start this steep' }).click();
    await expect(page.getByRole('link', { name: /^Steep/ })).toContainText('3 steeping');
    const first = page.getByRole('listitem').filter({ hasText: 'Sat 08:10' });
    await first.getByRole('textbox', { name: 'Came out' }).fill('1.9 kg');
    await first.getByRole('button', { name: /^Strain 1\./ }).click();
    await expect(page).toHaveURL(/\/jugs$/);
    await page.goto(`${lido.tabletUrl}/pour`);
    await page.getByRole('button', { name: 'Pour this one' }).click();
    const notice = page.getByRole('status').filter({ hasText: 'Lido black' });
    await notice.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByRole('status').filter({ hasText: 'Undone' })).toBeVisible();
    await page.goto(`${lido.tabletUrl}/jugs/lido-jug-1`);
    await page.getByRole('textbox', { name: 'Reading of the jug' }).fill('3.4 %');
    await page.getByRole('button', { name: 'Note this reading' }).click();
    await expect(page.getByRole('status').filter({ hasText: 'read' })).toBeVisible();
    for (const path of ['shelf', 'shelf/ingredients', 'plan/recipe', 'plan/samples', 'pour/menu'])
      await page.goto(`${lido.tabletUrl}/${path}`);
    expect(said).toEqual([]);
  });
});

test('a pour while the server is gone is kept, shown, and counted once when it is back', async ({
  page,
  lido,
}) => {
  await page.goto(`${lido.url}/pour`);
  const before = await jugAmount(page, lido.url);
  await expect(page.getByRole('button', { name: 'Pour this one' })).toBeEnabled();
  await lido.kill();
  await page.getByRole('button', { name: 'Pour this one' }).click();
  await expect(strip(page)).toContainText('One change is kept on this tablet');
  await page.getByRole('button', { name: 'Pour this one' }).click();
  await expect(strip(page)).toContainText('2 changes are kept');
  await lido.start();
  await expect(strip(page)).toHaveCount(0, { timeout: 20_000 });
  const entries = (await (
    await page.request.get(`${lido.url}/api/jugs/lido-jug-1/entries`)
  ).json()) as { massG: number; note: string }[];
  const [second, first] = entries;
  expect(first!.note).toBe(second!.note);
  expect(await jugAmount(page, lido.url)).toBeCloseTo(before + first!.massG + second!.massG, 6);
});

test('work on a jug is done once though its answer is lost, through a reload too', async ({
  page,
  lido,
}) => {
  await page.goto(`${lido.url}/jugs/lido-jug-1`);
  const before = await jugAmount(page, lido.url);
  // The server does it, and nobody hears of it.
  await page.route('**/entries', async (route) => {
    if (route.request().method() === 'POST') await route.fetch();
    await route.abort();
  });
  await page.getByRole('radio', { name: 'To a strength' }).click();
  const add = page.getByRole('button', { name: /^Add .* of water/ }).first();
  const adds = Number(/(\d+)\sg/.exec((await add.textContent())!)![1]);
  await add.click();
  await expect(strip(page)).toContainText('One change is kept on this tablet');
  await page.unroute('**/entries');
  await page.reload();
  await expect(strip(page)).toHaveCount(0);
  await expect.poll(() => jugAmount(page, lido.url)).toBeCloseTo(before + adds, -1);
});

test('two tablets change different fields of the shop, and both stand', async ({
  page,
  lido,
  context,
}) => {
  const second = await context.newPage();
  for (const one of [page, second]) {
    await one.goto(`${lido.url}/shelf`);
    await one.getByRole('button', { name: /^Rooms and hours/ }).click();
  }
  // The second one does not hear of the first.
  await second.route('**/api/shop', (route) =>
    route.request().method() === 'GET' ? route.abort() : route.continue(),
  );
  await page.getByRole('textbox', { name: 'Room' }).first().fill('26');
  await page.getByRole('textbox', { name: 'Room' }).first().blur();
  await expect(page.getByRole('status').filter({ hasText: 'room' })).toBeVisible();
  await second.getByRole('textbox', { name: 'Fridge' }).first().fill('5');
  await second.getByRole('textbox', { name: 'Fridge' }).first().blur();
  await expect
    .poll(async () => (await page.request.get(`${lido.url}/api/shop`)).json())
    .toMatchObject({ roomC: 26, fridgeC: 5 });
});

test('a part of a page that did not load says so, and is there after a reload', async ({
  page,
  lido,
}) => {
  const part = '**/assets/JugLedger-*.js';
  await page.route(part, (route) => route.abort());
  const isAsked = page.waitForRequest(part);
  await page.goto(`${lido.url}/jugs/lido-jug-1`);
  await isAsked;
  await expect(page.getByRole('radio', { name: 'Read it' })).toBeVisible();
  const failed = page.getByRole('alert').filter({ hasText: 'This part did not load' });
  await expect(failed).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Ledger' })).toHaveCount(0);
  await page.unroute(part);
  await failed.getByRole('button', { name: 'Reload the page' }).click();
  await expect(page.getByRole('heading', { name: 'Ledger' })).toBeVisible();
});

test.describe('where the browser allows it', () => {
  test.use({ serviceWorkers: 'allow' });

  test('pages open without the server, plan and pour from the last state, and say so', async ({
    page,
    lido,
  }) => {
    await page.goto(`${lido.url}/pour`);
    await expect(page.getByRole('button', { name: 'Pour this one' })).toBeEnabled();
    await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
    await lido.kill();
    await page.goto(`${lido.url}/pour`);
    await expect(strip(page)).toContainText('What you see is from when it last did');
    // It has its styles, by the content policy that was kept with it.
    await expect(page.locator('body')).toHaveCSS('font-family', /Chivo/);
    await page.getByRole('button', { name: 'Pour this one' }).click();
    await expect(strip(page)).toContainText('One change is kept');
    await page.goto(`${lido.url}/plan`);
    await expect(page.getByRole('region', { name: 'What comes out' })).toContainText('concentrate');
    await lido.start();
    await expect(strip(page)).toHaveCount(0, { timeout: 20_000 });
    const [entry] = (await (
      await page.request.get(`${lido.url}/api/jugs/lido-jug-1/entries`)
    ).json()) as { kind: string; note: string }[];
    expect(entry).toMatchObject({ kind: 'poured', note: 'Lido black' });
  });
});
