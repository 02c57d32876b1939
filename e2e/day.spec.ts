import jsQR from 'jsqr';
import { PNG } from 'pngjs';
import type { Page } from '@playwright/test';
import { expect, freshTest, lookingTest, test, type Lido } from './lido.ts';
import { misfits } from './misfits.ts';
import { makeBusy } from './busyLido.ts';

const next = (page: Page) => page.getByRole('region', { name: 'Next', exact: true });
const runsOut = (page: Page) => page.getByRole('region', { name: 'Runs out first' });
const feedOf = async (page: Page, lido: Lido): Promise<string> => {
  const { feeds } = await (await page.request.post(`${lido.url}/api/calendar/key`)).json();
  const { pathname, search } = new URL(feeds[0]);
  return `${lido.url}${pathname}${search}`;
};

test('whoever walks in sees what needs a hand, and opens it by one tap', async ({ page, lido }) => {
  await page.goto(lido.url);
  await expect(page).toHaveURL(/\/bench$/);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Sat 13 Jun');
  await expect(next(page)).toContainText('08:10');
  await expect(next(page).getByRole('button', { name: 'Start straining' })).toBeInViewport();
  await expect(runsOut(page)).toContainText(/Jug 1, at \d\d:\d\d/);
  await expect(runsOut(page)).toContainText('From the last 8 Saturdays and today so far');
  await expect(page.getByText('Mill was stiff on coarse')).toBeVisible();
  await next(page).getByRole('button', { name: 'Later' }).click();
  await expect(next(page)).toContainText('18:40');
  await next(page).getByRole('button', { name: 'Show what was put off' }).click();
  await next(page).getByRole('button', { name: 'Start straining' }).click();
  await expect(page).toHaveURL(/\/steep\/lido-batch-4$/);
});

test('a strain is moved on the clock, the calendar follows, and it is taken back', async ({
  page,
  lido,
}) => {
  const feed = await feedOf(page, lido);
  const strain = async (): Promise<string> =>
    /UID:lido-batch-4-strain@ratio[\s\S]*?DTSTART[^:]*:(\d{8}T\d{6})/.exec(
      await (await page.request.get(feed)).text(),
    )![1]!;
  expect(await strain()).toBe('20260613T081000');
  await page.goto(`${lido.url}/bench`);
  const edge = page.getByRole('slider', { name: 'Strain of Tall jar 6 L' });
  await edge.focus();
  for (let i = 0; i < 3; i++) await page.keyboard.press('ArrowUp');
  await expect(page.getByText(/Strain Tall jar 6 L Sat 09:00 instead of Sat 08:10/)).toBeVisible();
  await expect(page.getByText(/3\.\d\d % instead of 3\.\d\d %/)).toBeVisible();
  await page.getByRole('button', { name: 'Move the strain' }).click();
  await expect(next(page)).toContainText('09:00');
  await expect.poll(strain).toBe('20260613T090000');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(next(page)).toContainText('08:10');
  await expect.poll(strain).toBe('20260613T081000');
});

test('a day back and ahead by key, and the week on one sheet', async ({ page, lido }) => {
  await page.goto(`${lido.url}/bench`);
  const title = page.getByRole('heading', { level: 1 });
  await expect(title).toHaveText('Sat 13 Jun');
  await page.keyboard.press('ArrowLeft');
  await expect(title).toHaveText('Fri 12 Jun');
  await expect(page.getByText(/0[78]:\d\d strained/).first()).toBeVisible();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowRight');
  await expect(title).toHaveText('Sun 14 Jun');
  await page.getByRole('button', { name: 'Today' }).click();
  await expect(title).toHaveText('Sat 13 Jun');
  await page.getByRole('link', { name: 'Week' }).click();
  await expect(page.getByRole('region', { name: 'Sun 14 Jun' })).toContainText(/\d+ to \d+ drinks/);
});

test('a day back and ahead by a finger, and a pull down is none', async ({ page, lido }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`${lido.url}/bench`);
  const title = page.getByRole('heading', { level: 1 });
  await expect(title).toHaveText('Sat 13 Jun');
  const touch = await page.context().newCDPSession(page);
  const swipe = async (dx: number, dy: number): Promise<void> => {
    const at = (part: number) => [{ x: 200 + part * dx, y: 400 + part * dy }];
    const send = (type: 'touchStart' | 'touchMove' | 'touchEnd', touchPoints: object[]) =>
      touch.send('Input.dispatchTouchEvent', { type, touchPoints: touchPoints as never });
    await send('touchStart', at(0));
    for (const part of [0.25, 0.5, 0.75, 1]) await send('touchMove', at(part));
    await send('touchEnd', []);
  };
  await swipe(-150, 10);
  await expect(title).toHaveText('Sun 14 Jun');
  await swipe(0, 150);
  await swipe(150, -10);
  await expect(title).toHaveText('Sat 13 Jun');
});

test('the next batch opens as a plan, in the hour at which it starts', async ({ page, lido }) => {
  await page.goto(`${lido.url}/bench`);
  const start = page.getByRole('region', { name: 'Start next' });
  await expect(start).toContainText('What helps until then');
  await expect(start).toContainText('on the counter');
  const title = await start.locator('.head').textContent();
  await start.getByRole('button', { name: 'Open this plan' }).click();
  await expect(page).toHaveURL(/\/plan$/);
  const [dose] = /^\d+/.exec(title!)!;
  await expect(page.getByRole('textbox', { name: 'Coffee in' })).toHaveValue(
    new RegExp(`^${dose}`),
  );
});

test('what the evening leaves is there in the morning, on another tablet too', async ({
  page,
  lido,
  browser,
}) => {
  await page.goto(`${lido.url}/bench`);
  await page.getByRole('textbox', { name: 'A note for the next shift' }).fill('Ice is low.');
  await page.getByRole('button', { name: 'Leave it' }).click();
  await page.getByRole('checkbox', { name: 'Jugs tasted' }).click({ force: true });
  const other = await browser.newPage();
  await other.goto(`${lido.url}/bench`);
  await expect(other.getByText('Ice is low.')).toBeVisible();
  await expect(other.getByRole('checkbox', { name: 'Jugs tasted' })).toBeChecked();
  // Taken back on one it is gone on both; what is read again arrives by itself.
  await other.getByRole('checkbox', { name: 'Jugs tasted' }).click({ force: true });
  await expect(page.getByRole('checkbox', { name: 'Jugs tasted' })).not.toBeChecked();
  await other.close();
});

test('what is past is thrown away with the reason, and a count that differs with its own', async ({
  page,
  lido,
}) => {
  await page.goto(`${lido.url}/bench`);
  const useUp = page.getByRole('region', { name: 'Use up or throw away' });
  await useUp
    .getByRole('listitem')
    .filter({ hasText: 'Jug 1' })
    .getByRole('button', { name: 'throw away' })
    .click();
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('It had cost €');
  await expect(dialog.getByRole('button', { name: 'Throw it away' })).toBeDisabled();
  await dialog.getByRole('textbox', { name: 'Why it is thrown away' }).fill('tasted off');
  await dialog.getByRole('button', { name: 'Throw it away' }).click();
  await expect(page.getByText(/Jug 1: tasted off, €/)).toBeVisible();
  const jugs = await (await page.request.get(`${lido.url}/api/jugs`)).json();
  expect(jugs.map(({ id }: { id: string }) => id)).not.toContain('lido-jug-1');

  const counts = page.getByRole('region', { name: 'Count the jugs' });
  const row = counts.getByRole('listitem').filter({ hasText: 'Jug 2' });
  await row.getByRole('button', { name: 'count' }).click();
  await row.getByRole('textbox', { name: 'What is in it' }).fill('1.5 L');
  await page.keyboard.press('Tab');
  await expect(row.getByRole('button', { name: 'Counted' })).toBeDisabled();
  await row.getByRole('textbox', { name: 'Why it differs' }).fill('staff drinks');
  await row.getByRole('button', { name: 'Counted' }).click();
  await expect(row).toContainText('1.50 L');
  const last = async () =>
    (await (await page.request.get(`${lido.url}/api/jugs/lido-jug-2/entries`)).json())[0];
  await expect.poll(last).toMatchObject({ kind: 'counted', note: 'staff drinks' });
});

test('the title counts what is due', async ({ page, lido }) => {
  await page.goto(`${lido.url}/jugs`);
  await expect(page).toHaveTitle('Jugs · Ratio');
  await page.request.post(`${lido.url}/api/batches/lido-batch-4/actuals`, {
    data: { id: 'sooner', kind: 'strain-moved', until: '2026-06-13T06:00:00.000Z' },
  });
  await expect(page).toHaveTitle('(1) Jugs · Ratio');
  await expect(page.locator('link[rel="icon"]')).toHaveAttribute('href', '/mark-due.svg');
  await expect(page.getByRole('link', { name: 'Ratio, the day: 1 due' })).toBeVisible();
});

test('a calendar address is given and renewed, and a batch has a file of its own', async ({
  page,
  lido,
}) => {
  await page.goto(`${lido.url}/bench/calendar`);
  await page.getByRole('button', { name: 'Give it an address' }).click();
  const code = page.locator('code').first();
  await expect(code).toContainText('/api/calendar.ics?key=');
  const before = await code.textContent();
  await page.getByRole('button', { name: 'Give it a new address' }).click();
  await expect(code).not.toHaveText(before!);
  await page.goto(`${lido.url}/steep`);
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Into a calendar' }).first().click();
  expect((await download).suggestedFilename()).toBe('lido-batch-4.ics');
});

lookingTest(
  'the code of a label opens its batch on a tablet of the network',
  async ({ page, lido }) => {
    for (const [query, path, paper] of [
      ['batch=lido-batch-4', '/steep/lido-batch-4', '62 × 40 mm'],
      ['jug=lido-jug-2', '/jugs/lido-jug-2', '100 × 62 mm'],
    ] as const) {
      await page.goto(`${lido.tabletUrl}/label?${query}`);
      await page.getByRole('radio', { name: paper }).check({ force: true });
      const face = page.locator('.face').first();
      await expect(face.getByRole('img', { name: /^Code for/ })).toBeVisible();
      // Read as a camera would, by a decoder that knows nothing of what drew it.
      const { data, width, height } = PNG.sync.read(await face.screenshot());
      const read = jsQR(new Uint8ClampedArray(data), width, height);
      expect(read?.data).toBe(`${lido.tabletUrl}${path}`);
      expect(await misfits(page)).toEqual([]);
    }
  },
);

lookingTest('a sheet of labels begins at its first free place', async ({ page, lido }) => {
  await page.goto(`${lido.url}/label?jug=lido-jug-2`);
  await page.getByRole('radio', { name: 'A4, 21 of 62 × 40' }).check({ force: true });
  await page.getByRole('button', { name: '20', exact: true }).click();
  await page.getByRole('spinbutton', { name: 'How many labels' }).fill('4');
  await page.keyboard.press('Tab');
  // Two places are left on the first sheet.
  await expect(page.locator('.sheet')).toHaveCount(2);
  await expect(page.locator('.sheet').first().locator('.face')).toHaveCount(2);
});

freshTest('a shop that has nothing yet is shown the way in', async ({ page, lido }) => {
  await page.goto(lido.url);
  await expect(page.getByText('The day is empty still')).toBeVisible();
  await expect(next(page)).toContainText('Nothing needs a hand');
  await expect(runsOut(page)).toContainText('No concentrate is on hand');
  for (const width of [1280, 768, 390]) {
    await page.setViewportSize({ width, height: 800 });
    expect(await misfits(page)).toEqual([]);
  }
  await page.getByRole('link', { name: 'Plan the first batch' }).click();
  await expect(page).toHaveURL(/\/plan$/);
});

test('thirty batches and twenty jugs stand at every size, by day and by night', async ({
  page,
  lido,
}) => {
  test.setTimeout(120_000);
  await makeBusy(page, lido);
  await page.goto(`${lido.url}/bench`);
  for (const width of [1280, 768, 390])
    for (const night of [false, true]) {
      await page.setViewportSize({ width, height: width === 1280 ? 800 : 1024 });
      if (night) await page.getByRole('button', { name: 'Night colours' }).click();
      await expect(page.getByRole('group', { name: 'The day by the clock' })).toBeVisible();
      expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(
        width,
      );
      expect(await misfits(page), `${width} ${night}`).toEqual([]);
      if (night) await page.getByRole('button', { name: 'Day colours' }).click();
    }
  await expect(next(page)).toContainText('08:10');
});
